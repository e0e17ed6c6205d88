/** A text as JSON; undefined, which no JSON is, where it is none. */
export function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
