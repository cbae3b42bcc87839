/** Enter in a figure goes on to the next empty one that asks for something; from the last one to the press. */
export function onward(
  event: KeyboardEvent,
  root: HTMLElement | null,
  press: () => HTMLElement | null | undefined,
): void {
  if (!(event.target instanceof HTMLInputElement) || !event.target.classList.contains('figure')) return
  event.preventDefault()
  const boxes = [...(root?.querySelectorAll<HTMLInputElement>('.figure') ?? [])]
  const next = boxes
    .slice(boxes.indexOf(event.target) + 1)
    .find((box) => box.value === '' && box.placeholder === '')
  ;(next ?? press())?.focus()
}
