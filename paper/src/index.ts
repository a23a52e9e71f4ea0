export { cuttingListPdf } from './cutting-list';
export { dayPdf, type DayPaperAsk } from './day';
export { labelsPdf, pieceLabels, type LabelStock } from './labels';
export { makePaper, type PaperAsk, type Printed } from './make-paper';
export { MOST_PAGES, pagesFor, templatePdf, type TemplatePaper, type TemplatePrint, type TemplateSubject } from './template';
export { ticketMark, ticketPdf, type Stamp } from './ticket';
