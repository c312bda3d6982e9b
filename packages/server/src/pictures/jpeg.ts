const START = 0xffd8;
/** Markers of a frame: what follows them says how large the picture is. Those between that are none of it: tables of Huffman and arithmetic coding. */
const FRAMES = { from: 0xffc0, to: 0xffcf, but: [0xffc4, 0xffc8, 0xffcc] } as const;
/** Markers that stand alone, without a length. */
const ALONE = { from: 0xffd0, to: 0xffd9, temporary: 0xff01 } as const;
/** The picture itself begins: no frame comes after it. */
const SCAN = 0xffda;

/** The size of a JPEG in pixels, read from its frame as a decoder does; null where it has none. (ITU-T T.81, annex B) */
export function jpegSize(bytes: Buffer): { widthPx: number; heightPx: number } | null {
  if (bytes.length < 4 || bytes.readUInt16BE(0) !== START) return null;
  let at = 2;
  while (at + 4 <= bytes.length) {
    const marker = bytes.readUInt16BE(at);
    if (marker < 0xff01 || marker === SCAN) return null;
    // Any number of fill bytes may stand before a marker.
    if (marker === 0xffff) {
      at += 1;
      continue;
    }
    if ((marker >= ALONE.from && marker <= ALONE.to) || marker === ALONE.temporary) {
      at += 2;
      continue;
    }
    if (isFrame(marker)) return at + 9 <= bytes.length ? sizeIn(bytes, at) : null;
    at += 2 + Math.max(2, bytes.readUInt16BE(at + 2));
  }
  return null;
}

const isFrame = (marker: number): boolean => marker >= FRAMES.from && marker <= FRAMES.to && !FRAMES.but.some((other) => other === marker);

function sizeIn(bytes: Buffer, at: number): { widthPx: number; heightPx: number } | null {
  const [heightPx, widthPx] = [bytes.readUInt16BE(at + 5), bytes.readUInt16BE(at + 7)];
  return heightPx > 0 && widthPx > 0 ? { widthPx, heightPx } : null;
}
