/**
 * The arithmetic of a law as it is printed, computed from the same text:
 *
 *     formula = term { ("+" | "−") term }
 *     term    = factor { ("×" | "÷" | "per") factor }
 *     factor  = power [ "²" ]
 *     power   = number | "π" | "{" index "}" | "√" factor | "(" formula ")" | choice
 *     choice  = "the greater of" formula "and" formula
 *
 * `{0}`, `{1}` … stand for the inputs.
 */
type Compute = (inputs: readonly number[]) => number;

const TOKEN = /\s*(the greater of|and\b|per\b|\d+(?:\.\d+)?|\{\d+\}|[π√²()+−×÷])/y;

function tokensOf(formula: string): string[] {
  const tokens: string[] = [];
  TOKEN.lastIndex = 0;
  while (TOKEN.lastIndex < formula.length) {
    const at = TOKEN.lastIndex;
    const token = TOKEN.exec(formula)?.[1];
    if (token === undefined) throw new SyntaxError(`“${formula}” is no formula at ${at}`);
    tokens.push(token);
  }
  return tokens;
}

/** A parser by recursive descent: a method for each rule of the grammar above. */
class Parser {
  #at = 0;

  constructor(
    private readonly formula: string,
    private readonly tokens: readonly string[],
  ) {}

  whole(): Compute {
    const all = this.#formula();
    if (this.#at < this.tokens.length) this.#fail();
    return all;
  }

  #fail(): never {
    throw new SyntaxError(`“${this.formula}” is no formula at “${this.tokens[this.#at] ?? 'its end'}”`);
  }

  #takes(token: string): boolean {
    const is = this.tokens[this.#at] === token;
    if (is) this.#at++;
    return is;
  }

  #expect(token: string): void {
    if (!this.#takes(token)) this.#fail();
  }

  #formula(): Compute {
    let left = this.#term();
    for (;;) {
      const one = left;
      if (this.#takes('+')) {
        const other = this.#term();
        left = (inputs) => one(inputs) + other(inputs);
      } else if (this.#takes('−')) {
        const other = this.#term();
        left = (inputs) => one(inputs) - other(inputs);
      } else return left;
    }
  }

  #term(): Compute {
    let left = this.#factor();
    for (;;) {
      const one = left;
      if (this.#takes('×')) {
        const other = this.#factor();
        left = (inputs) => one(inputs) * other(inputs);
      } else if (this.#takes('÷') || this.#takes('per')) {
        const other = this.#factor();
        left = (inputs) => one(inputs) / other(inputs);
      } else return left;
    }
  }

  #factor(): Compute {
    const base = this.#power();
    return this.#takes('²') ? (inputs) => base(inputs) ** 2 : base;
  }

  #power(): Compute {
    const token = this.tokens[this.#at++] ?? '';
    if (token === 'π') return () => Math.PI;
    if (token === '(') {
      const inner = this.#formula();
      this.#expect(')');
      return inner;
    }
    if (token === '√') {
      const inner = this.#factor();
      return (inputs) => Math.sqrt(inner(inputs));
    }
    if (token === 'the greater of') {
      const one = this.#formula();
      this.#expect('and');
      const other = this.#formula();
      return (inputs) => Math.max(one(inputs), other(inputs));
    }
    if (token.startsWith('{')) {
      const index = Number(token.slice(1, -1));
      return (inputs) => {
        const value = inputs[index];
        if (value === undefined) throw new RangeError(`“${this.formula}” has no input {${index}}`);
        return value;
      };
    }
    const value = Number(token);
    if (token === '' || !Number.isFinite(value)) {
      this.#at--;
      this.#fail();
    }
    return () => value;
  }
}

const known = new Map<string, Compute>();

/**
 * The value of a formula over its inputs.
 * @throws SyntaxError where the text is no formula, RangeError where it names an input that is not there: both are slips of the code, never of a person.
 */
export function evaluate(formula: string, inputs: readonly number[]): number {
  let compute = known.get(formula);
  if (!compute) {
    compute = new Parser(formula, tokensOf(formula)).whole();
    known.set(formula, compute);
  }
  return compute(inputs);
}
