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
  const figures: Figure[] = [];
  let open: Figure | undefined;
  let depth = 0;
  let pending: Role[] = [];
  let again = false;
  let odd = false;
  let times = false;
  let joining: 'dash' | 'to' | 'or' | undefined;
  let problem: Figures['problem'];
  const begin = (): Figure => {
    const figure: Figure = { roles: pending, bracketed: depth > 0, again, many: false };
    figures.push(figure);
    pending = [];
    again = false;
    return figure;
  };
  const endOfFigure = () => {
    if (joining === 'dash' && open && depth === 0) problem ??= 'an end';
    open = undefined;
    joining = undefined;
  };
  for (let i = 0; i < tokens.length; i += 1) {
    const token = tokens[i]!;
    switch (token.is) {
      case 'number': {
        const { quantity, used } = quantityAt(tokens, i);
        i += used - 1;
        if (open && joining) {
          open.to = quantity;
          // “5, 7 or 9” and “2 to 3 or 5” end where the last number does.
          joining = undefined;
        } else if (open && !open.to && isSameUnitlessRun(tokens, i - used)) problem ??= 'several';
        else {
          open = begin();
          open.from = quantity;
        }
        break;
      }
      case 'unit': {
        // Behind a bracket it belongs to what stands before; in front of all, as “pH 5–6”, it only says what is meant.
        const before = figures.at(-1);
        const last = before?.to ?? before?.from;
        if (tokens[i - 1]?.is === 'close' && last && !last.unit) last.unit = token.unit;
        else if (figures.length > 0 || depth > 0) problem ??= 'an end';
        break;
      }
      case 'dash':
      case 'to':
      case 'or':
        if (open?.from && !(token.is === 'to' && pending.length > 0))
          joining = token.is === 'dash' || !open.to ? token.is : token.is;
        else if (token.is === 'to') pending.push('up to');
        if (open?.to && token.is === 'dash') problem ??= 'several';
        break;
      case 'many':
        if (open && joining) open.many = true;
        else {
          open = begin();
          open.many = true;
        }
        joining = undefined;
        break;
      case 'role':
        if (open && (token.role === 'or more' || token.role === 'or less' || token.role === 'or so')) {
          open.roles.push(token.role);
          endOfFigure();
        } else if (open && isLast(tokens, i) && BEHIND[token.role]) {
          // “5 mm max”, “3–5 cm approx.”: said behind.
          open.roles.push(BEHIND[token.role]!);
          endOfFigure();
        } else {
          if (open) endOfFigure();
          pending.push(token.role);
        }
        break;
      case 'open':
        endOfFigure();
        depth += 1;
        if (depth > 1) problem ??= 'a bracket';
        break;
      case 'close':
        open = undefined;
        joining = undefined;
        depth -= 1;
        if (depth < 0) problem ??= 'a bracket';
        break;
      case 'comma': {
        // “5, 7 or 9”: a list goes on as a span; anything else behind a comma is said of the figure before.
        const next = tokens[i + 1];
        if (next?.is === 'or' || next?.is === 'to') break;
        if (open?.roles.length === 0 && next?.is === 'number' && !hasUnit(tokens, i + 1)) joining = 'or';
        else endOfFigure();
        break;
      }
      case 'equals':
        endOfFigure();
        again = true;
        break;
      case 'plus or minus': {
        const next = tokens[i + 1];
        if (!open?.from || next?.is !== 'number') problem ??= 'an end';
        else {
          const { quantity, used } = quantityAt(tokens, i + 1);
          i += used;
          const { value } = open.from;
          const unit = open.from.unit ?? quantity.unit;
          const scale = open.from.unit && quantity.unit ? quantity.unit.factor / open.from.unit.factor : 1;
          open.from = { value: value - quantity.value * scale, ...(unit ? { unit } : {}) };
          open.to = { value: value + quantity.value * scale, ...(unit ? { unit } : {}) };
        }
        break;
      }
      case 'times':
        times = true;
        endOfFigure();
        break;
      case 'odd':
        odd = true;
        break;
    }
  }
  if (joining && joining !== 'or' && open && depth === 0) problem ??= 'an end';
  if (depth !== 0) problem ??= 'a bracket';
  if (pending.length > 0) problem ??= 'an end';
  return { figures, odd, times, ...(problem ? { problem } : {}) };
}

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

/** Two numbers side by side with nothing between them. */
const isSameUnitlessRun = (tokens: readonly Token[], before: number): boolean =>
  tokens[before]?.is === 'number' || tokens[before]?.is === 'unit';

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
