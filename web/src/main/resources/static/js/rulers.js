// Rulers along the top and the left, in mm.

export const RULER = 24;
const LABEL_EVERY = 64;

/** The smallest of 1, 2, 5, 10, ... mm that keeps labels apart. */
function step(k) {
  const least = LABEL_EVERY / k;
  const power = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((n) => n * power).find((n) => n >= least * 0.999);
}

const label = (value, every) => value.toFixed(Math.max(0, -Math.floor(Math.log10(every) + 1e-9)));

export function paintRulers(ctx, view, colours) {
  const every = step(view.k);
  ctx.fillStyle = colours.ruler;
  ctx.fillRect(0, 0, view.width, RULER);
  ctx.fillRect(0, 0, RULER, view.height);
  ctx.strokeStyle = colours.line;
  ctx.lineWidth = 1;
  ctx.strokeRect(RULER - 0.5, RULER - 0.5, view.width + 1, view.height + 1);
  ctx.strokeStyle = colours.lineStrong;
  ctx.fillStyle = colours.inkSoft;
  ctx.font = '400 11px Commissioner, sans-serif';
  ctx.textBaseline = 'alphabetic';
  ctx.beginPath();
  const [left] = view.toWorld(RULER, 0);
  const [right] = view.toWorld(view.width, 0);
  for (let i = Math.ceil(left / every * 5); i <= right / every * 5; i++) {
    const [sx] = view.toScreen(i * every / 5, 0);
    ctx.moveTo(sx, RULER);
    ctx.lineTo(sx, RULER - (i % 5 === 0 ? 10 : 4));
    if (i % 5 === 0) {
      ctx.fillText(label(i * every / 5, every), sx + 3, 11);
    }
  }
  const [, bottom] = view.toWorld(0, view.height);
  const [, top] = view.toWorld(0, RULER);
  for (let i = Math.ceil(bottom / every * 5); i <= top / every * 5; i++) {
    const [, sy] = view.toScreen(0, i * every / 5);
    ctx.moveTo(RULER, sy);
    ctx.lineTo(RULER - (i % 5 === 0 ? 10 : 4), sy);
    if (i % 5 === 0) {
      ctx.save();
      ctx.translate(11, sy - 3);
      ctx.rotate(-Math.PI / 2);
      ctx.fillText(label(i * every / 5, every), 0, 0);
      ctx.restore();
    }
  }
  ctx.stroke();
  ctx.fillStyle = colours.ruler;
  ctx.fillRect(0, 0, RULER - 1, RULER - 1);
}
