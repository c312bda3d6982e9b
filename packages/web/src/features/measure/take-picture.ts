/** A picture on this device, small enough to work with. */
export interface Picture {
  /** Lives as long as the page; nothing of it is sent anywhere. */
  readonly url: string;
  readonly jpeg: Blob;
  readonly width: number;
  readonly height: number;
}

/** Points are placed as well on this as on fifty megapixels. */
const LONGEST_SIDE_PX = 1280;
const QUALITY = 0.75;
/** Larger files are not even decoded. */
const MOST_BYTES = 80_000_000;

/** A picture from a file, whatever its size. @throws Error saying what would be right */
export async function pictureFromFile(file: File): Promise<Picture> {
  if (!file.type.startsWith('image/')) throw new Error(`${file.name} isn’t a photo. Choose a JPEG or PNG.`);
  if (file.size > MOST_BYTES) {
    throw new Error(`${file.name} is ${(file.size / 1e6).toFixed(0)} MB. Photos can be up to ${MOST_BYTES / 1e6}.`);
  }
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error(`Couldn’t open ${file.name}. It may be damaged or too large for this device.`);
  }
  try {
    return await scaled(bitmap, bitmap.width, bitmap.height);
  } finally {
    bitmap.close();
  }
}

/** What the camera sees now. */
export const pictureFromVideo = (video: HTMLVideoElement): Promise<Picture> => scaled(video, video.videoWidth, video.videoHeight);

async function scaled(source: CanvasImageSource, width: number, height: number): Promise<Picture> {
  const ratio = Math.min(1, LONGEST_SIDE_PX / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * ratio);
  canvas.height = Math.round(height * ratio);
  canvas.getContext('2d')?.drawImage(source, 0, 0, canvas.width, canvas.height);
  const jpeg = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  if (!jpeg || jpeg.size === 0) throw new Error('This device couldn’t save the photo. Take a smaller one.');
  return { url: URL.createObjectURL(jpeg), jpeg, width: canvas.width, height: canvas.height };
}

/** The camera at the back, where there is one. @throws Error in words: refused, none there, or not for this page */
export async function openCamera(): Promise<MediaStream> {
  if (!('mediaDevices' in navigator)) {
    throw new Error('The camera only works on a secure page (https). Load a photo instead.');
  }
  try {
    return await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1920 } } });
  } catch (error) {
    const name = error instanceof DOMException ? error.name : '';
    if (name === 'NotAllowedError') {
      throw new Error('Camera access was refused. Allow it in the browser’s settings for this page, or load a photo.');
    }
    throw new Error(
      name === 'NotFoundError'
        ? 'This device has no camera. Load a photo.'
        : 'Couldn’t open the camera. Another program may be using it. You can load a photo instead.',
    );
  }
}

/** The bytes of a picture as they are sent. */
export async function base64Of(jpeg: Blob): Promise<string> {
  const bytes = new Uint8Array(await jpeg.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
}
