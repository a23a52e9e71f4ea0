import { SaxesParser } from 'saxes';
import { MOST_ENTITIES } from '../outline-file';
import { Unreadable } from '../unreadable';

/** Elements nested deeper than this are no drawing. */
export const DEEPEST = 60;

/** An element of the file with what it says of itself; names without their prefix. */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  /** Declarations of its style attribute. */
  readonly style: ReadonlyMap<string, string>;
  readonly line: number;
  readonly children: Element[];
}

function declarations(style: string | undefined): ReadonlyMap<string, string> {
  const rows = (style ?? '').split(';').map((row) => row.split(/:(.*)/s));
  return new Map(rows.filter(([key, value]) => key?.trim() && value !== undefined).map(([key = '', value = '']) => [key.trim().toLowerCase(), value.trim()]));
}

/** Reads the elements of a drawing. A document type is passed over; one that defines entities is refused, for those can grow without bound. */
export function treeOf(text: string): Element {
  const parser = new SaxesParser({ position: true });
  const stack: Element[] = [];
  let root: Element | null = null;
  let count = 0;
  const refuse = (line: number, what: string): never => {
    throw new Unreadable(line, what);
  };
  parser.on('error', (error) => refuse(parser.line, error.message));
  parser.on('doctype', (doctype) => {
    if (/<!ENTITY/i.test(doctype)) refuse(parser.line, 'a document type that defines entities');
  });
  parser.on('opentag', (tag) => {
    const attributes = tag.attributes as Readonly<Record<string, string>>;
    const name = tag.name.replace(/^.*:/, '');
    if (++count > 4 * MOST_ENTITIES) refuse(parser.line, 'it holds too much');
    const element: Element = { name, attributes, style: declarations(attributes['style']), line: parser.line, children: [] };
    if (!root) {
      if (name !== 'svg') refuse(0, 'it does not begin as a drawing');
      root = element;
    }
    stack.at(-1)?.children.push(element);
    stack.push(element);
    if (stack.length > DEEPEST) refuse(parser.line, 'it is nested too deeply');
  });
  parser.on('closetag', () => void stack.pop());
  parser.write(text).close();
  return root ?? refuse(0, 'it does not begin as a drawing');
}
