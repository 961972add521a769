/** Takes away the canvases over one that a worker paints, once it has its first picture: that comes after word of it. */
export function uncover(canvas: HTMLCanvasElement): void {
  if (!(canvas.nextElementSibling instanceof HTMLCanvasElement)) return;
  if (!hasPicture(canvas)) {
    requestAnimationFrame(() => uncover(canvas));
    return;
  }
  while (canvas.nextElementSibling instanceof HTMLCanvasElement) canvas.nextElementSibling.remove();
}

/** Whether anything opaque is in the middle of a canvas; one that is not painted yet is clear all over. */
function hasPicture(canvas: HTMLCanvasElement): boolean {
  const probe = new OffscreenCanvas(1, 1).getContext("2d");
  if (!probe || canvas.width < 1 || canvas.height < 1) return false;
  probe.drawImage(canvas, canvas.width / 2, canvas.height / 2, 1, 1, 0, 0, 1, 1);
  return (probe.getImageData(0, 0, 1, 1).data[3] ?? 0) > 0;
}
