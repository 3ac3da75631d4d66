/**
 * Things being dragged, as two pictures: the things themselves and a pale veil over where they lay.
 * However many are chosen, each frame of the drag only copies the pictures.
 */
import { PAPER_COLOUR } from '../wire/generated'
import type { Affine, Item } from '../wire/generated'
import { drawItems } from './draw'

const VEIL = 0.78

export class Lifted {
  #things: HTMLCanvasElement
  #veil: HTMLCanvasElement
  #view: DOMMatrix

  /** ``context`` is the overlay's, set to page units; ``items`` what is seen of the things, in their order. */
  constructor(context: CanvasRenderingContext2D, items: Item[]) {
    this.#view = context.getTransform()
    const { width, height } = context.canvas
    this.#things = picture(width, height, (paint) => {
      paint.setTransform(this.#view)
      drawItems(paint, items, this.#view.a)
    })
    this.#veil = picture(width, height, (paint) => {
      paint.drawImage(this.#things, 0, 0)
      paint.globalCompositeOperation = 'source-in'
      paint.globalAlpha = VEIL
      paint.fillStyle = PAPER_COLOUR
      paint.fillRect(0, 0, width, height)
    })
  }

  draw(context: CanvasRenderingContext2D, along: Affine): void {
    const view = context.getTransform()
    // What was drawn for one view is shown in another when the paper has been moved meanwhile.
    const shown = view.multiply(this.#view.inverse())
    context.setTransform(shown)
    context.drawImage(this.#veil, 0, 0)
    const carried = view.multiply(new DOMMatrix([...along])).multiply(this.#view.inverse())
    context.setTransform(carried)
    context.drawImage(this.#things, 0, 0)
    context.setTransform(view)
  }
}

function picture(
  width: number,
  height: number,
  paint: (context: CanvasRenderingContext2D) => void,
): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  paint(canvas.getContext('2d')!)
  return canvas
}
