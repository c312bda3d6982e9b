import { itemAt, must } from '@clay-pot/core';
/** Written into the file's own text, so that it looks the same wherever it is opened. */
const KEPT = ['fill', 'stroke', 'stroke-width', 'stroke-dasharray', 'opacity', 'font-family', 'font-size', 'font-weight', 'text-anchor'];
const PNG_SCALE = 3;

/** The drawing as an SVG document of its own: styles that come from the page are written into it. */
function standalone(svg: SVGSVGElement): { text: string; width: number; height: number } {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const originals = [svg, ...svg.querySelectorAll<SVGElement>('*')];
  [copy, ...copy.querySelectorAll<SVGElement>('*')].forEach((element, index) => {
    const style = getComputedStyle(itemAt(originals, index));
    for (const name of KEPT) element.setAttribute(name, style.getPropertyValue(name));
    element.removeAttribute('class');
    element.removeAttribute('style');
  });
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  for (const name of ['role', 'tabindex', 'aria-valuemin', 'aria-valuemax', 'aria-valuenow', 'aria-valuetext']) {
    copy.removeAttribute(name);
  }
  return { text: new XMLSerializer().serializeToString(copy), width, height };
}

function save(blob: Blob, fileName: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Offers a drawing as a file. @param name of the file without its ending */
export async function saveDrawing(svg: SVGSVGElement, name: string, kind: 'svg' | 'png'): Promise<void> {
  const { text, width, height } = standalone(svg);
  const vector = new Blob([text], { type: 'image/svg+xml' });
  if (kind === 'svg') {
    save(vector, `${name}.svg`);
    return;
  }
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width * PNG_SCALE;
  canvas.height = height * PNG_SCALE;
  const pen = must(canvas.getContext('2d'), 'a pen for the canvas');
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (blob) save(blob, `${name}.png`);
}
