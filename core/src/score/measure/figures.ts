import type { Role, Token } from './tokens.ts';
import type { WrittenUnit } from './units.ts';

/** One written number with its unit, or with none of its own. */
export interface Quantity {
  value: number;
  unit?: WrittenUnit;
}

/** One number or one span, with what is said of it. */
export interface Figure {
  from?: Quantity;
  to?: Quantity;
  /** The words before and behind it. */
  roles: Role[];
  /** It stood in brackets, by itself. */
  bracketed: boolean;
  /** It stood behind an = or a slash: the same in another unit. */
  again: boolean;
  /** Its upper end is “many”. */
  many: boolean;
}

export interface Figures {
  figures: Figure[];
  odd: boolean;
  /** Two measures, as in length × width. */
  times: boolean;
  problem?: 'a bracket' | 'an end' | 'several';
}

/** Puts tokens together: numbers with their units, spans of two numbers, and what stands in brackets. */
export function figuresOf(tokens: readonly Token[]): Figures {
  const assembly = new Assembly(tokens);
  for (let i = 0; i < tokens.length;) i += assembly.take(i);
  return assembly.finish();
}

/** The figures of a measure as its tokens come one by one. */
class Assembly {
  private readonly tokens: readonly Token[];
  private readonly figures: Figure[] = [];
  /** The figure that may still get its other end. */
  private open: Figure | undefined;
  private joining: 'dash' | 'to' | 'or' | undefined;
  /** Words that wait for the figure they are said of. */
  private pending: Role[] = [];
  private depth = 0;
  private again = false;
  private odd = false;
  private times = false;
  private problem: Figures['problem'];

  constructor(tokens: readonly Token[]) {
    this.tokens = tokens;
  }

  /** Takes the token at a place in; how many were used. */
  take(i: number): number {
    const token = this.tokens[i]!;
    switch (token.is) {
      case 'number':
        return this.number(i);
      case 'plus or minus':
        return this.plusOrMinus(i);
      case 'unit':
        this.unit(token.unit, i);
        break;
      case 'dash':
      case 'to':
      case 'or':
        this.join(token.is);
        break;
      case 'many':
        if (!this.open || !this.joining) this.begin();
        this.open!.many = true;
        this.joining = undefined;
        break;
      case 'role':
        this.role(token.role, i);
        break;
      case 'open':
        this.close();
        this.depth += 1;
        if (this.depth > 1) this.problem ??= 'a bracket';
        break;
      case 'close':
        this.open = undefined;
        this.joining = undefined;
        this.depth -= 1;
        if (this.depth < 0) this.problem ??= 'a bracket';
        break;
      case 'comma':
        this.comma(i);
        break;
      case 'equals':
        this.close();
        this.again = true;
        break;
      case 'times':
        this.times = true;
        this.close();
        break;
      case 'odd':
        this.odd = true;
        break;
    }
    return 1;
  }

  finish(): Figures {
    if (this.joining && this.joining !== 'or' && this.open && this.depth === 0) this.problem ??= 'an end';
    if (this.depth !== 0) this.problem ??= 'a bracket';
    if (this.pending.length > 0) this.problem ??= 'an end';
    const { figures, odd, times, problem } = this;
    return { figures, odd, times, ...(problem ? { problem } : {}) };
  }

  private begin(): void {
    const { pending, depth, again } = this;
    this.open = { roles: pending, bracketed: depth > 0, again, many: false };
    this.figures.push(this.open);
    this.pending = [];
    this.again = false;
  }

  /** Nothing more belongs to the figure before. */
  private close(): void {
    if (this.joining === 'dash' && this.open && this.depth === 0) this.problem ??= 'an end';
    this.open = undefined;
    this.joining = undefined;
  }

  private number(i: number): number {
    const { quantity, used } = quantityAt(this.tokens, i);
    const before = this.tokens[i - 1]?.is;
    if (this.open && this.joining) {
      // “5, 7 or 9” ends where the last number does.
      this.open.to = quantity;
      this.joining = undefined;
    } else if (this.open && !this.open.to && (before === 'number' || before === 'unit'))
      this.problem ??= 'several';
    else {
      this.begin();
      this.open!.from = quantity;
    }
    return used;
  }

  private plusOrMinus(i: number): number {
    const from = this.open?.from;
    if (!from || this.tokens[i + 1]?.is !== 'number') {
      this.problem ??= 'an end';
      return 1;
    }
    const { quantity, used } = quantityAt(this.tokens, i + 1);
    const unit = from.unit ?? quantity.unit;
    const scale = from.unit && quantity.unit ? quantity.unit.factor / from.unit.factor : 1;
    const off = quantity.value * scale;
    this.open!.from = { value: from.value - off, ...(unit ? { unit } : {}) };
    this.open!.to = { value: from.value + off, ...(unit ? { unit } : {}) };
    return used + 1;
  }

  /** A unit by itself: behind a bracket it belongs to what stands before; in front of all, as “pH 5–6”, it only says what is meant. */
  private unit(unit: WrittenUnit, i: number): void {
    const before = this.figures.at(-1);
    const last = before?.to ?? before?.from;
    if (this.tokens[i - 1]?.is === 'close' && last && !last.unit) last.unit = unit;
    else if (this.figures.length > 0 || this.depth > 0) this.problem ??= 'an end';
  }

  private join(by: 'dash' | 'to' | 'or'): void {
    if (this.open?.to && by === 'dash') this.problem ??= 'several';
    if (this.open?.from && !(by === 'to' && this.pending.length > 0)) this.joining = by;
    else if (by === 'to') this.pending.push('up to');
  }

  private role(role: Role, i: number): void {
    // “5 mm max”, “3–5 cm approx.”: said behind.
    const behind = IS_BEHIND.includes(role) ? role : isLast(this.tokens, i) ? BEHIND[role] : undefined;
    if (this.open && behind) this.open.roles.push(behind);
    else this.pending.push(role);
    if (this.open) this.close();
  }

  /** A list goes on as a span; anything else behind a comma is said of the figure before. */
  private comma(i: number): void {
    const next = this.tokens[i + 1];
    if (next?.is === 'or' || next?.is === 'to') return;
    // “5 cm, more or less”, “20 m, rarely”: said of what stands before.
    if (next?.is === 'role' && (IS_BEHIND.includes(next.role) || isLast(this.tokens, i + 1))) return;
    if (this.open?.roles.length === 0 && next?.is === 'number' && !hasUnit(this.tokens, i + 1))
      this.joining = 'or';
    else this.close();
  }
}

/** Words that can only stand behind their figure. */
const IS_BEHIND: readonly Role[] = ['or more', 'or less', 'or so'];

/** What a word means that stands behind its figure and not before one. */
const BEHIND: Partial<Record<Role, Role>> = {
  'up to': 'or less',
  over: 'or more',
  about: 'or so',
  usually: 'usually',
  rarely: 'rarely',
};

/** Does nothing follow that a word could be said of? */
function isLast(tokens: readonly Token[], i: number): boolean {
  const next = tokens[i + 1];
  return next === undefined || next.is === 'comma' || next.is === 'close';
}

const hasUnit = (tokens: readonly Token[], i: number): boolean => tokens[i + 1]?.is === 'unit';

/** A number with its unit, and a smaller one behind it: “5 ft 6 in”, “5'6”, “1 m 20 cm”. */
function quantityAt(tokens: readonly Token[], at: number): { quantity: Quantity; used: number } {
  const first = tokens[at] as Extract<Token, { is: 'number' }>;
  const unit = unitOf(tokens[at + 1]);
  if (!unit) return { quantity: { value: first.value }, used: 1 };
  const second = tokens[at + 2];
  const smaller = unitOf(tokens[at + 3]);
  const isLess = smaller?.of === unit.of && smaller.factor < unit.factor && unit.of === 'length';
  if (
    second?.is === 'number' &&
    unit.name === 'ft' &&
    (smaller?.name === 'in' || !smaller) &&
    second.value < 12
  ) {
    const value = first.value + second.value / 12;
    return { quantity: { value, unit }, used: smaller ? 4 : 3 };
  }
  if (second?.is === 'number' && smaller && isLess)
    return {
      quantity: { value: first.value + (second.value * smaller.factor) / unit.factor, unit },
      used: 4,
    };
  return { quantity: { value: first.value, unit }, used: 2 };
}

const unitOf = (token: Token | undefined): WrittenUnit | undefined =>
  token?.is === 'unit' ? token.unit : undefined;
