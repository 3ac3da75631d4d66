/**
 * Things being dragged, as two pictures: the things themselves and a pale veil over where they lay.
 * However many are chosen, each frame of the drag only copies the pictures.
 */
import { PAPER_COLOUR } from '../wire/generated'
import type { Affine, Item } from '../wire/generated'
import { drawItem } from './draw'

const VEIL = 0.78

export class Lifted {
  #things: HTMLCanvasElement
  #veil: HTMLCanvasElement
  #view: DOMMatrix

  /** ``context`` is the overlay's, set to page units. */
  constructor(context: CanvasRenderingContext2D, items: Item[]) {
    this.#view = context.getTransform()
    const { width, height } = context.canvas
    this.#things = this.#picture(width, height, (picture) => {
      for (const item of items) drawItem(picture, item)
    })
    this.#veil = this.#picture(width, height, (picture) => {
      for (const item of items) {
        drawItem(picture, { ...item, colour: PAPER_COLOUR, opacity: 1, fill: '' } as Item)
        picture.globalAlpha = 1 - VEIL
        drawItem(picture, item)
        picture.globalAlpha = 1
      }
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

  #picture(
    width: number,
    height: number,
    paint: (picture: CanvasRenderingContext2D) => void,
  ): HTMLCanvasElement {
    const canvas = document.createElement('canvas')
    canvas.width = width
    canvas.height = height
    const picture = canvas.getContext('2d')!
    picture.setTransform(this.#view)
    paint(picture)
    return canvas
  }
}
