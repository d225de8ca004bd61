import { languageHeaders, marked } from "@/words/language";
import { preference } from "./preference";
import { say } from "@/words/generated/domain";

/**
 * How this reader writes and reads numbers: lengths in millimetres or inches, with a decimal point or
 * a comma. Everything inside is in millimetres with a point; only what is shown and typed changes.
 * The server is told by headers and writes its sentences the same way.
 */
export const lengthUnit = preference<"mm" | "in">("length", ["mm", "in"]);
export const decimalMark = preference<"point" | "comma">("decimal-mark", ["point", "comma"]);

const INCH_MM = 25.4;

/** A hundredth of an inch is a quarter of a millimetre: two digits more tell as much. */
const MORE_PLACES = 2;

/** Sums of steps carry rounding far behind any ruler; the page leaves it out. */
const FINEST = 4;

const inches = () => lengthUnit.now() === "in";
/** With the reader's decimal mark, and the minus sign in place of a hyphen. */
const withMark = (text: string) => {
  const signed = text.replace("-", "−");
  return decimalMark.now() === "comma" ? signed.replace(".", ",") : signed;
};

/** The language of the words on the page, and with it of its dates and times. */
const LANGUAGE = "en-GB";

const DAY = new Intl.DateTimeFormat(LANGUAGE, { day: "numeric", month: "long", year: "numeric" });
const LIST = new Intl.ListFormat(LANGUAGE, { type: "conjunction" });
const TIME = new Intl.DateTimeFormat(LANGUAGE, { hour: "2-digit", minute: "2-digit" });

/** `5 September 2026`, as the core writes it. */
export const day = (iso: string) => marked(DAY.format(new Date(iso)));

/** `08:34`. */
export const timeOfDay = (at: Date) => TIME.format(at);

const THOUSANDS = /\B(?=(\d{3})+$)/g;

/** A whole number of things, its thousands apart, whatever the decimal mark: `18 432`. */
export const many = (count: number) => String(count).replace(THOUSANDS, "\u202f");

/** What the server is told of its reader. */
export const readerHeaders = (): Record<string, string> => ({
  "Length-Unit": lengthUnit.now(),
  "Decimal-Mark": decimalMark.now(),
  ...languageHeaders(),
});

/** The sign of the unit of lengths. */
export const lengthSign = () => lengthUnit.now();

/** A length in the reader's unit, as a number: for the axis of a chart. */
export const inLength = (mm: number) => (inches() ? mm / INCH_MM : mm);

/** A figure with a fixed number of places. */
export const figure = (value: number, places: number) => withMark(value.toFixed(places));

/** A length without its unit, as fine as so many places of a millimetre. */
export const lengthFigure = (mm: number, places: number) =>
  figure(inLength(mm), inches() ? places + MORE_PLACES : places);

/** A length with its unit. */
export const length = (mm: number, places: number) => `${lengthFigure(mm, places)} ${lengthSign()}`;

/** A figure as it was entered: no digit that says nothing. */
export const written = (value: number) => withMark(String(Number(value.toFixed(FINEST))));

/** A length as it was entered, without its unit. */
export const lengthWritten = (mm: number) => written(inLength(mm));

/** A length as it was entered, with its unit. */
export const lengthEntered = (mm: number) => `${lengthWritten(mm)} ${lengthSign()}`;

/** The number a text stands for, with a point or a comma; not a number where it stands for none. */
export function typed(text: string): number {
  const plain = text.trim().replace("−", "-").replace(",", ".");
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : Number.NaN;
}

/** The millimetres a text stands for in the reader's unit. */
export const typedLength = (text: string) =>
  inches() ? Number((typed(text) * INCH_MM).toFixed(6)) : typed(text);

/** Several numbers in one line, as this reader writes them. */
export const line = (numbers: readonly string[]) =>
  numbers.join(decimalMark.now() === "comma" ? "; " : ", ");

/** The texts of several numbers: with semicolons between, or with commas where those mark nothing else. */
export function several(text: string): string[] {
  if (text.trim() === "") {
    return [];
  }
  const commas = decimalMark.now() === "comma" ? /,\s+/ : ",";
  return text.split(text.includes(";") ? ";" : commas).map((one) => one.trim());
}

/** What stands between several numbers, in words. */
export const severalWords = () =>
  decimalMark.now() === "comma" ? say("reader.semicolonsBetween") : say("reader.commasBetween");

/** Names in a sentence: `left, centre and right`. */
export const all = (names: readonly string[]) => LIST.format(names);
