import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import type { Sheet } from './sheet';

const MARGIN = 40;
const ROW = 18;

/** The typeface of the application, as it ships: the one on the screen is the one on paper. */
const FILES = join(process.cwd(), 'node_modules/@fontsource/atkinson-hyperlegible-next/files');
const fontFile = (weight: 400 | 700): string =>
  join(FILES, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`);
const TEXT = 'text';
const BOLD = 'bold';

/** Small figures stand in none of its files: they are spelled out. */
const plain = (text: string): string =>
  text.replace(/[₀-₉]/g, (one) => String(one.codePointAt(0)! - 0x2080)).replaceAll('∆', 'cone ');

/** Sheets as a PDF of A4 pages, each row with a box to tick. */
export function sheetPdf(title: string, sheets: readonly Sheet[]): Promise<Buffer> {
  const pdf = new PDFDocument({
    size: 'A4',
    margin: MARGIN,
    info: { Title: title },
    // Nothing is drawn in a built-in typeface.
    font: fontFile(400),
  });
  pdf.registerFont(TEXT, fontFile(400));
  pdf.registerFont(BOLD, fontFile(700));
  const chunks: Buffer[] = [];
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((resolve, reject) => {
    pdf.on('end', () => resolve(Buffer.concat(chunks)));
    pdf.on('error', reject);
  });
  sheets.forEach((sheet, i) => {
    if (i > 0) pdf.addPage();
    drawSheet(pdf, title, sheet);
  });
  pdf.end();
  return done;
}

function drawSheet(pdf: PDFKit.PDFDocument, title: string, sheet: Sheet): void {
  const width = pdf.page.width - 2 * MARGIN;
  pdf.font(TEXT).fontSize(9).fillColor('#333').text(plain(title), MARGIN, MARGIN, { width });
  pdf.font(BOLD).fontSize(17).fillColor('#000').text(sheet.title, { width });
  pdf.font(TEXT).fontSize(9.5).text(plain(sheet.lead), { width });
  for (const caution of sheet.cautions) pdf.font(BOLD).text(plain(`Caution. ${caution}`), { width });
  pdf.moveDown(0.6);
  for (const group of sheet.groups) {
    if (group.title !== '') {
      room(pdf, 3 * ROW);
      pdf
        .font(BOLD)
        .fontSize(11)
        .text(plain(group.title), MARGIN, pdf.y + 6, { width });
    }
    if (group.rows.length > 0) drawRows(pdf, sheet.columns, group.rows, width);
  }
}

const room = (pdf: PDFKit.PDFDocument, height: number): void => {
  if (pdf.y + height > pdf.page.height - MARGIN) {
    pdf.addPage();
    pdf.y = MARGIN;
  }
};

function drawRows(
  pdf: PDFKit.PDFDocument,
  columns: readonly string[],
  rows: readonly string[][],
  width: number,
): void {
  const box = 18;
  pdf.fontSize(9.5);
  // Columns are as wide as their longest words want, within reason, and share the rest.
  const wants = columns.map((column, i) =>
    Math.min(
      230,
      10 +
        Math.max(
          ...[column, ...rows.map((row) => row[i] ?? '')].map((text) => pdf.widthOfString(plain(text))),
        ),
    ),
  );
  const scale = (width - box) / wants.reduce((sum, want) => sum + want, 0);
  const line = (cells: readonly string[], bold: boolean): void => {
    pdf.font(bold ? BOLD : TEXT).fontSize(bold ? 9 : 9.5);
    const height = Math.max(
      ROW,
      ...cells.map((cell, i) => 8 + pdf.heightOfString(plain(cell), { width: (wants[i] ?? 0) * scale - 8 })),
    );
    room(pdf, height);
    const top = pdf.y;
    if (!bold)
      pdf
        .rect(MARGIN, top + 4, 10, 10)
        .lineWidth(0.8)
        .stroke('#000');
    let x = MARGIN + box;
    cells.forEach((cell, i) => {
      pdf.fillColor('#000').text(plain(cell), x, top + 4, { width: (wants[i] ?? 0) * scale - 8 });
      x += (wants[i] ?? 0) * scale;
    });
    pdf
      .moveTo(MARGIN, top + height)
      .lineTo(MARGIN + width, top + height)
      .lineWidth(0.3)
      .stroke('#888');
    pdf.x = MARGIN;
    pdf.y = top + height;
  };
  pdf.moveDown(0.2);
  line(columns, true);
  for (const row of rows) line(row, false);
  pdf.moveDown(0.5);
}
