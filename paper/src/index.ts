export { ticketMark, ticketPdf, type Stamp } from './ticket';
