// What of a sheet is shown, and how long a pixel is on it.

/** On a phone words, discs and arrows are drawn smaller by this. */
const SMALL = 0.62;
const SMALL_UNDER_PX = 560;
/** Room for the words at the table, px. */
const LARGE_PAD_PX = 46;

/** The place that a sheet fills at the table, px, with what is kept free at its sides. */
export interface SheetFrame {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
}

interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** What of the sheet is shown, cm, and how long a pixel of what is drawn on it is. */
export function viewBoxOf(
  { x0, y0, x1, y1 }: Box,
  maxHeight: number,
  frame: SheetFrame | undefined,
): { readonly unit: number; readonly x0: number; readonly y0: number; readonly w: number; readonly h: number } {
  const [w0, h0] = [x1 - x0, y1 - y0];
  if (!frame) {
    const unit = Math.max(w0 / 640, h0 / (maxHeight - 60));
    const pad = 30 * unit;
    return { unit, x0: x0 - pad, y0: y0 - pad, w: w0 + 2 * pad, h: h0 + 2 * pad };
  }
  const small = frame.width < SMALL_UNDER_PX ? SMALL : 1;
  const pad = LARGE_PAD_PX * small;
  const [wide, high] = [frame.width - frame.left - frame.right - 2 * pad, frame.height - 2 * pad];
  const unit = Math.max(w0 / wide, h0 / high);
  const left = frame.left + pad + (wide - w0 / unit) / 2;
  return {
    unit: unit * small,
    x0: x0 - left * unit,
    y0: y0 - ((frame.height - h0 / unit) / 2) * unit,
    w: frame.width * unit,
    h: frame.height * unit,
  };
}
