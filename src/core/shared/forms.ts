export const DECIMALS = ['point', 'comma'] as const;
export const DATE_FORMS = ['2026-11-29', '29/11/2026', '29.11.2026', '11/29/2026'] as const;
export const LENGTH_UNITS = ['mm', 'cm', 'inches'] as const;

/** The forms in which a workspace writes money, numbers, dates and lengths. */
export interface Forms {
  /** ISO 4217 code of the one currency. */
  readonly currency: string;
  readonly decimal: (typeof DECIMALS)[number];
  readonly dates: (typeof DATE_FORMS)[number];
  readonly units: (typeof LENGTH_UNITS)[number];
}

export const DEFAULT_FORMS: Forms = { currency: 'GBP', decimal: 'point', dates: '2026-11-29', units: 'mm' };

/**
 * On globalThis: pages, routes and the start are bundled apart, and what one says of money the others must say alike. A process, and
 * a window, has one workspace at a time.
 */
const held = globalThis as { evarnForms?: Forms };

/** The forms of the workspace that is open. */
export const forms = (): Forms => held.evarnForms ?? DEFAULT_FORMS;

/** Writes from now on in these forms. */
export const applyForms = (next: Forms): void => {
  held.evarnForms = next;
};

/** The language whose marks are written: English with a point, German with a comma, since both group by three. */
const localeOf = ({ decimal }: Forms): string => (decimal === 'comma' ? 'de-DE' : 'en-GB');

const made = new Map<string, Intl.NumberFormat>();
/** Kept: making one takes far longer than writing a number with it. */
function formatter(locale: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const key = `${locale} ${JSON.stringify(options)}`;
  const kept = made.get(key) ?? new Intl.NumberFormat(locale, options);
  made.set(key, kept);
  return kept;
}

const trueMinus = (text: string): string => text.replace('-', '−');

/** 7812 -> "7,812", or "7.812" where the comma is the decimal mark. */
export const formatNumber = (n: number, form: Forms = forms()): string =>
  trueMinus(formatter(localeOf(form), { maximumFractionDigits: 3 }).format(n));

/** An amount of the currency in its hundredths: 3140 -> "£31.40", "31,40 €", "¥31". */
/** @param finer  true = to a tenth of a hundredth where that is not nothing: what one of many pieces comes to */
export const formatCurrency = (hundredths: number, form: Forms = forms(), finer = false): string =>
  trueMinus(
    formatter(localeOf(form), {
      style: 'currency',
      currency: form.currency,
      currencyDisplay: 'narrowSymbol',
      ...(finer ? { minimumFractionDigits: 2, maximumFractionDigits: 3 } : {}),
    }).format(hundredths / 100),
  );

/** The currency's sign, for beside a field: "£", "€", "kr". */
export const currencySign = (form: Forms = forms()): string =>
  formatter(localeOf(form), { style: 'currency', currency: form.currency, currencyDisplay: 'narrowSymbol' })
    .formatToParts(0)
    .find((p) => p.type === 'currency')?.value ?? form.currency;

/** The day of an ISO 8601 moment in the chosen form: "2026-11-29T18:00:00Z" -> "29/11/2026". What is no date stays as it is. */
export function formatDay(iso: string, form: Forms = forms()): string {
  const found = /^(\d{4})-(\d{2})-(\d{2})/.exec(iso);
  if (!found) return iso;
  const [, y, m, d] = found as unknown as [string, string, string, string];
  if (form.dates === '29/11/2026') return `${d}/${m}/${y}`;
  if (form.dates === '29.11.2026') return `${d}.${m}.${y}`;
  return form.dates === '11/29/2026' ? `${m}/${d}/${y}` : `${y}-${m}-${d}`;
}

const PER_MM = { mm: 1, cm: 0.1, inches: 1 / 25.4 } as const;
const DIGITS = { mm: 1, cm: 2, inches: 2 } as const;
const FIELD_DIGITS = { mm: 3, cm: 4, inches: 4 } as const;

/** A number with so many digits behind the mark, be they noughts: formatFixed(3) = "3.0". */
export const formatFixed = (n: number, digits = 1, form: Forms = forms()): string =>
  trueMinus(
    formatter(localeOf(form), { minimumFractionDigits: digits, maximumFractionDigits: digits }).format(n),
  );

/** A number as a field holds it, to be changed: the decimal mark of the workspace, and nothing between thousands. */
export const editNumber = (n: number, form: Forms = forms()): string =>
  form.decimal === 'comma' ? `${n}`.replace('.', ',') : `${n}`;

/** How the unit of lengths is written: "mm", "cm", "in". */
export const lengthUnit = ({ units }: Forms = forms()): string => (units === 'inches' ? 'in' : units);

/**
 * Millimetres as a number of the chosen unit, to be written or changed in a field: lengthAs(25.4) = 1 where inches are
 * chosen. Rounded to what can be built by, a tenth of a millimetre or a little finer.
 */
export function lengthAs(mm: number, { units }: Forms = forms()): number {
  const k = 10 ** FIELD_DIGITS[units];
  return Math.round(mm * PER_MM[units] * k) / k;
}

/** A number of the chosen unit as millimetres, to a thousandth of one: lengthFrom(1) = 25.4 where inches are chosen. */
export const lengthFrom = (n: number, { units }: Forms = forms()): number =>
  Math.round((n / PER_MM[units]) * 1000) / 1000;

/** One length in the chosen unit: 134.4 -> "134.4 mm", "13.44 cm", "5.29 in". */
export const formatLength = (mm: number, form: Forms = forms()): string => formatLengths([mm], form);

/** Millimetres in the chosen unit: [384, 134.4] -> "384 × 134.4 mm", "38.4 × 13.44 cm", "15.12 × 5.29 in". */
export function formatLengths(mm: readonly number[], form: Forms = forms()): string {
  const written = mm.map((n) => {
    const k = 10 ** DIGITS[form.units];
    return formatNumber(Math.round(n * PER_MM[form.units] * k) / k, form);
  });
  return `${written.join(' × ')} ${form.units === 'inches' ? 'in' : form.units}`;
}
