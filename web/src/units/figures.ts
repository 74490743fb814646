/** Writing numbers for people: digits that matter, a true minus, units as the operator likes them. */

export type LengthUnit = 'm' | 'ft';

export const METRES_PER_FOOT = 0.3048;
export const FEET_PER_METRE = 1 / METRES_PER_FOOT;

const formats = new Map<number, Intl.NumberFormat>();

function format(decimals: number): Intl.NumberFormat {
  const known = formats.get(decimals);
  if (known) return known;
  const made = new Intl.NumberFormat('en', {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: false,
  });
  formats.set(decimals, made);
  return made;
}

/** A number with a fixed count of decimals and a true minus; never a minus before a rounded zero. */
export function fixed(value: number, decimals: number): string {
  const text = format(decimals).format(value);
  if (/^-0(\.0*)?$/.test(text)) return text.slice(1);
  return text.replace('-', '−');
}

/** About three significant digits: 1234, 123, 12.3, 1.2, 0.12, 0.012; what is less still is 0.00. */
export function significant(value: number): string {
  const size = Math.abs(value);
  if (size >= 99.95) return fixed(value, 0);
  if (size >= 0.995) return fixed(value, 1);
  if (size >= 0.0995 || size < 0.0005) return fixed(value, 2);
  return fixed(value, 3);
}

/** A number as short as it can be written without losing what was typed: 31, 0.5, 39.624. */
export function plain(value: number, mostDecimals = 4): string {
  return fixed(Number(value.toFixed(mostDecimals)), 0) === fixed(value, mostDecimals)
    ? fixed(value, 0)
    : fixed(value, mostDecimals)
        .replace(/(\.\d*?)0+$/, '$1')
        .replace(/\.$/, '');
}

/** A length in the operator's unit, without the unit. */
export function lengthFigure(metres: number, unit: LengthUnit): string {
  return unit === 'm' ? plain(metres, 3) : plain(metres * FEET_PER_METRE, 2);
}

/**
 * The unit in which a length was typed: feet where it is rounder in feet than in metres (45.72 m are 150 ft), so that who
 * measures in metres and types feet for once finds the feet again.
 */
export function unitTyped(metres: number, unit: LengthUnit): LengthUnit {
  const inFeet = decimalsOf(metres * FEET_PER_METRE);
  return unit === 'm' && inFeet <= 1 && inFeet < decimalsOf(metres) ? 'ft' : unit;
}

/** As many as a length is typed with; any more were computed. */
const MOST_DECIMALS = 4;

function decimalsOf(value: number): number {
  for (let decimals = 0; decimals < MOST_DECIMALS; decimals++) {
    if (Math.abs(value - Number(value.toFixed(decimals))) < 1e-9 * value) return decimals;
  }
  return MOST_DECIMALS;
}

/** A length with its unit, as it was typed. */
export function lengthText(metres: number, unit: LengthUnit): string {
  const typed = unitTyped(metres, unit);
  return `${lengthFigure(metres, typed)} ${typed}`;
}

/**
 * How the operator measures what is not a length of run: across, mass, temperature. One setting for every sentence, set
 * from their settings before anything is drawn.
 */
let measures: { lengths: LengthUnit; fahrenheit: boolean } = { lengths: 'm', fahrenheit: false };

export function measureIn(lengths: LengthUnit, fahrenheit: boolean): void {
  measures = { lengths, fahrenheit };
}

const MM_PER_INCH = 25.4;
const KG_PER_POUND = 0.453_592_37;
const OUNCES_PER_POUND = 16;

/** The units of what is small, heavy, or told a length, beside a unit of length. */
export function unitsBeside(lengths: LengthUnit = measures.lengths) {
  return lengths === 'm'
    ? ({ across: 'mm', mass: 'kg', massPerLength: 'g/m', loss: 'dB/100 m', per: 'm' } as const)
    : ({ across: 'in', mass: 'lb', massPerLength: 'oz/ft', loss: 'dB/100 ft', per: 'ft' } as const);
}

/** A diameter, a bore or a bend, without its unit. */
export function acrossFigure(mm: number): string {
  return measures.lengths === 'm' ? plain(mm, 1) : plain(mm / MM_PER_INCH, 3);
}

/** The same with its unit. */
export function acrossText(mm: number): string {
  return `${acrossFigure(mm)} ${unitsBeside().across}`;
}

/** A mass with its unit: grams below a kilogram, ounces below a pound. */
export function massText(kg: number): string {
  if (measures.lengths === 'ft') {
    const pounds = kg / KG_PER_POUND;
    return pounds < 1
      ? `${short(pounds * OUNCES_PER_POUND)} oz`
      : `${significant(pounds).replace(/\.0$/, '')} lb`;
  }
  return kg < 0.9995 ? `${short(kg * 1000)} g` : `${plain(kg, kg < 10 ? 2 : 1)} kg`;
}

/** The mass of a length of cable, without its unit. */
export function massPerLengthFigure(gramsPerM: number): string {
  return measures.lengths === 'm'
    ? plain(gramsPerM, 1)
    : plain((gramsPerM / 1000 / KG_PER_POUND) * OUNCES_PER_POUND * METRES_PER_FOOT, 2);
}

/** An attenuation for the length that the operator tells it by, from dB per 100 m. */
export function per100(dbPer100m: number): number {
  return measures.lengths === 'm' ? dbPer100m : dbPer100m * METRES_PER_FOOT;
}

/** What is told of a metre, of the operator's unit of length. */
export function perLength(ofAMetre: number, unit: LengthUnit): number {
  return unit === 'm' ? ofAMetre : ofAMetre * METRES_PER_FOOT;
}

/** The price of a length of cable, for the length that the operator tells it by. */
export function pricePerLengthFigure(perM: number): string {
  return fixed(measures.lengths === 'm' ? perM : perM * METRES_PER_FOOT, 2);
}

/** A temperature in the operator's unit. */
export function degreesText(celsius: number): string {
  return temperatureText(celsius, measures.fahrenheit);
}

/** A temperature with its unit. */
export function temperatureText(celsius: number, fahrenheit: boolean): string {
  return fahrenheit ? `${plain(celsius * 1.8 + 32, 1)} °F` : `${plain(celsius, 1)} °C`;
}

/** Power with its unit, milliwatts below one watt and kilowatts from ten; 50 W rather than 50.0 W. */
export function powerText(watts: number): string {
  if (watts >= 9999.5) return `${plain(watts / 1000, 2)} kW`;
  if (watts < 0.9995) return `${short(watts * 1000)} mW`;
  return `${short(watts)} W`;
}

function short(value: number): string {
  return significant(value).replace(/\.0+$/, '');
}

const NUMBER_THEN_UNIT =
  /(\d) (?=(?:W|mW|kW|dB|S-units|m|cm|mm|ft|in|kg|g|lb|oz|MHz|GHz|kHz|Ω|%|V|A)(?![\p{L}\d]))/gu;

/** A sentence whose numbers keep their units on the same line. */
export function tied(sentence: string): string {
  return sentence.replace(NUMBER_THEN_UNIT, '$1\u00a0');
}

/** A frequency as it is spoken of: 7100 kHz is 7.1 MHz, 1296.2 MHz stays. */
export function frequencyText(megahertz: number): string {
  return megahertz >= 3000 ? `${plain(megahertz / 1000, 4)} GHz` : `${plain(megahertz, 4)} MHz`;
}

/** Money as it is compared: whole units from ten, hundredths below. */
export function moneyFigure(amount: number): string {
  return fixed(amount, amount >= 9.995 ? 0 : 2);
}
