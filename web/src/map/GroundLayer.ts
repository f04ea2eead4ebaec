import Layer from "ol/layer/Layer";
import type { FrameState } from "ol/Map";
import { getForViewAndSize } from "ol/extent";
import { getText } from "../api/client";

// The core's SVG of the ground in view, in the page itself so that it has the book's fonts. While the
// map moves, the last drawing moves with it; when it rests, a fresh one is asked for.
export class GroundLayer extends Layer {
  private readonly holder = document.createElement("div");
  private readonly drawing = document.createElement("div");
  private drawn: { extent: number[]; resolution: number } | null = null;
  private asked = "";
  private stop: AbortController | null = null;
  private timer: number | undefined;

  constructor(private readonly book: number, private readonly revision: number) {
    super({});
    this.holder.style.cssText = "position:absolute;inset:0;overflow:hidden";
    this.holder.dataset.ground = "waiting";
    this.drawing.style.cssText = "position:absolute;transform-origin:0 0";
    this.holder.append(this.drawing);
  }

  override render(state: FrameState | null): HTMLElement {
    if (!state) return this.holder;
    this.place(state);
    window.clearTimeout(this.timer);
    this.timer = window.setTimeout(() => void this.ask(state), this.drawn ? 120 : 0);
    return this.holder;
  }

  close() {
    window.clearTimeout(this.timer);
    this.stop?.abort();
  }

  private place(state: FrameState) {
    if (!this.drawn) return;
    const { center, resolution } = state.viewState;
    const factor = this.drawn.resolution / resolution;
    const left = state.size[0]! / 2 + (this.drawn.extent[0]! - center[0]!) / resolution;
    const top = state.size[1]! / 2 - (this.drawn.extent[3]! - center[1]!) / resolution;
    this.drawing.style.transform = `translate(${left}px, ${top}px) scale(${factor})`;
  }

  private async ask(state: FrameState) {
    const { center, resolution } = state.viewState;
    const [width, height] = state.size as [number, number];
    const extent = getForViewAndSize(center, resolution, 0, [width, height]);
    const path = `/api/books/${this.book}/ground.svg?box=${extent.join(",")}&width=${width}&height=${height}&r=${this.revision}`;
    if (path === this.asked || width < 1 || height < 1) return;
    this.asked = path;
    this.stop?.abort();
    this.stop = new AbortController();
    try {
      const svg = await getText(path, this.stop.signal);
      this.drawing.innerHTML = svg;
      this.drawing.style.width = `${width}px`;
      this.drawing.style.height = `${height}px`;
      this.drawn = { extent, resolution };
      this.holder.dataset.ground = "drawn";
      this.changed();
    } catch (error) {
      if (!(error instanceof DOMException)) this.holder.dataset.ground = "failed";
    }
  }
}
