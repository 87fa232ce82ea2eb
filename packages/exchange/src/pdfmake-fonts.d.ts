/** The fonts that ship with the library: where their files are. */
declare module 'pdfmake/fonts/Roboto.js' {
  import type { TFontDictionary } from 'pdfmake/interfaces';

  const fonts: TFontDictionary;
  export default fonts;
}
