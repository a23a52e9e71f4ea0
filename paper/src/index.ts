export { cuttingListPdf } from './cutting-list';
export { labelsPdf, MOST_LABELS, pieceLabels, type LabelStock } from './labels';
export { MOST_PAGES, pagesFor, templatePdf, type TemplatePaper, type TemplatePrint, type TemplateSubject } from './template';
export { ticketMark, ticketPdf, type Stamp } from './ticket';
