/** Long side of a photo as it is sent, px; and the quality of its JPEG. */
const LONG = 2560
const QUALITY = 0.82

/** A photo made smaller before it waits and is sent; one that this browser cannot read goes as it is, and the server says why it will not take it. */
export async function scaled(file: File): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const scale = Math.min(1, LONG / Math.max(picture.width, picture.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(picture.width * scale))
    canvas.height = Math.max(1, Math.round(picture.height * scale))
    const context = canvas.getContext('2d')
    if (!context) return file
    context.drawImage(picture, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((resolve) => {
      canvas.toBlob(resolve, 'image/jpeg', QUALITY)
    })
    return blob ?? file
  } catch {
    return file
  }
}
