import { createRequire } from 'node:module';
import { join } from 'node:path';
import { type Content, type TDocumentDefinitions, type TFontDictionary } from 'pdfmake/interfaces';

const require = createRequire(join(process.cwd(), 'package.json'));
const font = (family: string, file: string): string =>
  join(process.cwd(), 'node_modules', '@fontsource', family, 'files', `${file}.woff`);
const LABEL = { normal: font('barlow-condensed', 'barlow-condensed-latin-500-normal') };
const FIGURE = { normal: font('jetbrains-mono', 'jetbrains-mono-latin-500-normal') };
const FONTS: TFontDictionary = {
  label: { ...LABEL, bold: font('barlow-condensed', 'barlow-condensed-latin-600-normal'), italics: LABEL.normal },
  figure: { ...FIGURE, bold: font('jetbrains-mono', 'jetbrains-mono-latin-700-normal'), italics: FIGURE.normal },
};

interface Printer {
  setFonts: (fonts: TFontDictionary) => void;
  setUrlAccessPolicy: (may: (url: string) => boolean) => void;
  setLocalAccessPolicy: (may: (path: string) => boolean) => void;
  createPdf: (definition: TDocumentDefinitions) => { getBuffer: () => Promise<Buffer> };
}
let made: Printer | undefined;

/** The library, loaded when the first sheet is printed; it reads our two fonts and nothing else, neither of this machine nor of any other. */
function printer(): Printer {
  if (made) return made;
  made = require('pdfmake') as Printer;
  made.setFonts(FONTS);
  made.setUrlAccessPolicy(() => false);
  const own = new Set(Object.values(FONTS).flatMap((family) => Object.values(family).map(String)));
  made.setLocalAccessPolicy((path) => own.has(path));
  return made;
}

/** One millimetre on paper, pt. */
export const MM = 72 / 25.4;

/** What every sheet carries, whatever it is: how the vehicle is held while its springs are open. */
export const SUPPORT_CARD: readonly string[] = [
  'Frame and axle each held on stands, never under a jack alone; no timber under a stand.',
  'Wheels that stay down chocked both ways, level firm ground.',
  'Spring slack before its last fastener comes off; pack clamped before its centre bolt comes out.',
  'Nothing hangs by its hose or wire. No flame near rubber, hoses, grease or a tank.',
  'Where brakes, steering or road approval are touched, local rules and licensed practice come first.',
];

export interface Sheet {
  title: string;
  /** Under the title: vehicle, axle, plan. */
  of: string;
  /** Day and who printed it. */
  foot: string;
  content: Content[];
  /** Work is done by it, so it carries the support card; left out where it only tells what was done. */
  working?: boolean;
}

/** A box to tick with a pen. */
export const box = (mm = 5): Content => ({
  canvas: [{ type: 'rect', x: 0, y: 0, w: mm * MM, h: mm * MM, lineWidth: 1 }],
});

/** A sheet of A4 as PDF, with the support and stored-energy card at the head of all that work is done by, and page numbers at its foot. */
export function onPaper({ title, of, foot, content, working = true }: Sheet): Promise<Buffer> {
  const definition: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [14 * MM, 14 * MM, 14 * MM, 16 * MM],
    info: { title: `${title}, ${of}`, creator: 'Gravelwort' },
    defaultStyle: { font: 'label', fontSize: 11, lineHeight: 1.1 },
    content: [
      { text: title, fontSize: 20, bold: true },
      { text: of, fontSize: 12, margin: [0, 0, 0, 6] },
      ...(working
        ? [
            {
              table: { widths: ['*'], body: [[{ ul: [...SUPPORT_CARD], fontSize: 10, margin: [4, 3, 4, 3] }]] },
              margin: [0, 0, 0, 10],
            } satisfies Content,
          ]
        : []),
      ...content,
    ],
    footer: (page, pages) => ({
      columns: [
        { text: foot, fontSize: 8 },
        { text: `${page} of ${pages}`, alignment: 'right', fontSize: 8 },
      ],
      margin: [14 * MM, 4 * MM, 14 * MM, 0],
    }),
  };
  return printer().createPdf(definition).getBuffer();
}
