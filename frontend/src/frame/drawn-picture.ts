/** Vector pictures: drawn by the browser as an image, in which nothing runs and nothing is fetched. */

/** The longer side (px) at which one is drawn. */
const SIDE = 2_000

/** The file itself; of an SVG the picture that it shows, or the file when it shows none: the server says why. */
export async function drawnPicture(file: Blob): Promise<Blob> {
  if (file.type !== 'image/svg+xml') return file
  const address = URL.createObjectURL(file)
  try {
    const image = new Image()
    image.src = address
    await image.decode()
    const [wide, high] = [image.naturalWidth || 300, image.naturalHeight || 150]
    const scale = SIDE / Math.max(wide, high)
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(wide * scale))
    canvas.height = Math.max(1, Math.round(high * scale))
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
    return await new Promise<Blob>((done) => canvas.toBlob((blob) => done(blob ?? file), 'image/png'))
  } catch {
    return file
  } finally {
    URL.revokeObjectURL(address)
  }
}
