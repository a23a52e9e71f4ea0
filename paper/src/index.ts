export { templatePdf, type TemplatePaper, type TemplatePrint } from './template';
export { ticketMark, ticketPdf, type Stamp } from './ticket';
