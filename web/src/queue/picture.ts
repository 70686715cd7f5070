const LONGEST_SIDE = 1280;
const QUALITY = 0.8;

/** A picture from the camera, small enough to wait on the device and be sent: base64 of a JPEG. */
export async function smallPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const [, data = ''] = canvas.toDataURL('image/jpeg', QUALITY).split(',');
  return data;
}
