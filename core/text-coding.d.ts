/** The two text coders that every host has (WHATWG Encoding): all that core uses beside the language itself. */
declare class TextDecoder {
  decode(bytes: Uint8Array): string;
}
declare class TextEncoder {
  encode(text: string): Uint8Array<ArrayBuffer>;
}
