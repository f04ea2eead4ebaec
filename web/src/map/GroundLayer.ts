import Layer from "ol/layer/Layer";
import type { FrameState } from "ol/Map";
import { getForViewAndSize } from "ol/extent";
import { getText } from "../api/client";
import { AGAIN_MS, incomplete } from "../api/incomplete";

// How the drawing of the ground stands: it is there, some of it is, it is on its way for so many seconds, it failed.
export type GroundState = { kind: "drawn" | "more" | "failed" } | { kind: "waiting"; seconds: number };

const TELL_MS = 1_000;

const sameExtent = (a: number[], b: number[]) => a.every((number, index) => Math.abs(number - b[index]!) < 1e-9);

/**
 * The core's SVG of the ground in view, in the page itself so that it has the book's fonts. While the map moves, the
 * last drawing moves with it; when it rests, a fresh one is asked for.
 */
export class GroundLayer extends Layer {
  private readonly holder = document.createElement("div");
  private readonly drawing = document.createElement("div");
  private drawn: { extent: number[]; resolution: number } | null = null;
  private asked = "";
  private stop: AbortController | null = null;
  private timer: number | undefined;
  private later: number | undefined;
  private hurry = false;
  private clock: number | undefined;
  // Layers whose drawing is not that of the latest state; null for all.
  private stale: Set<string> | null = new Set();

  constructor(
    private readonly book: number,
    private revision: number,
    private readonly tell: (state: GroundState) => void,
  ) {
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
    this.timer = window.setTimeout(() => void this.ask(state), this.drawn && !this.hurry ? 120 : 0);
    this.hurry = false;
    return this.holder;
  }

  // Another state of the book: the last drawing stays until the fresh one is there. restyled: the layers
  // that alone look different, or null where more than that changed.
  show(revision: number, moved: boolean, restyled: string[] | null) {
    if (revision === this.revision) return;
    this.revision = revision;
    if (moved) this.forget();
    this.stale = restyled === null || this.stale === null ? null : new Set([...this.stale, ...restyled]);
    this.hurry = true;
    this.changed();
  }

  // Layers that can be put in place one by one: all of them are drawn, and no names, which depend on one
  // another, are.
  private partsToRenew(): string[] | null {
    const drawn = (id: string) => this.drawing.querySelector(`[data-part="${CSS.escape(id)}"]`);
    if (!this.stale?.size || this.drawing.querySelector('[data-part$=" names"]')) return null;
    return [...this.stale].every(drawn) ? [...this.stale] : null;
  }

  private renew(parts: string[], svg: string) {
    const fresh = document.createElement("div");
    fresh.innerHTML = svg;
    for (const id of parts) {
      const name = `[data-part="${CSS.escape(id)}"]`;
      const part = fresh.querySelector(name);
      if (part) this.drawing.querySelector(name)?.replaceWith(part);
      else this.drawing.querySelector(name)?.replaceChildren();
    }
  }

  // After a change of reference the last drawing lies in another plane.
  private forget() {
    this.drawn = null;
    this.drawing.innerHTML = "";
  }

  close() {
    window.clearTimeout(this.timer);
    window.clearTimeout(this.later);
    window.clearInterval(this.clock);
    this.stop?.abort();
  }

  // What takes long is told of, second by second.
  private wait() {
    window.clearInterval(this.clock);
    const since = Date.now();
    this.clock = window.setInterval(
      () => this.tell({ kind: "waiting", seconds: Math.round((Date.now() - since) / 1000) }),
      TELL_MS,
    );
  }

  private report(state: GroundState) {
    window.clearInterval(this.clock);
    this.tell(state);
  }

  private place(state: FrameState) {
    if (!this.drawn) return;
    const { center, resolution } = state.viewState;
    const factor = this.drawn.resolution / resolution;
    const left = state.size[0]! / 2 + (this.drawn.extent[0]! - center[0]!) / resolution;
    const top = state.size[1]! / 2 - (this.drawn.extent[3]! - center[1]!) / resolution;
    this.drawing.style.transform = `translate(${left}px, ${top}px) scale(${factor})`;
  }

  // Unless something else was asked for meanwhile.
  private askAgain(path: string) {
    window.clearTimeout(this.later);
    this.later = window.setTimeout(() => {
      if (path !== this.asked) return;
      this.asked = "";
      this.stale = null;
      this.changed();
    }, AGAIN_MS);
  }

  private async ask(state: FrameState) {
    const { center, resolution } = state.viewState;
    const [width, height] = state.size as [number, number];
    const extent = getForViewAndSize(center, resolution, 0, [width, height]);
    const path = `/api/books/${this.book}/ground.svg?box=${extent.join(",")}&width=${width}&height=${height}&r=${this.revision}`;
    if (path === this.asked || width < 1 || height < 1) return;
    const parts = this.drawn && sameExtent(this.drawn.extent, extent) ? this.partsToRenew() : null;
    this.asked = path;
    this.stop?.abort();
    this.stop = new AbortController();
    this.wait();
    try {
      const svg = await getText(parts ? `${path}&only=${parts.join(",")}` : path, this.stop.signal);
      if (parts) this.renew(parts, svg);
      else this.drawing.innerHTML = svg;
      this.stale = new Set();
      this.drawing.style.width = `${width}px`;
      this.drawing.style.height = `${height}px`;
      this.drawn = { extent, resolution };
      this.holder.dataset.ground = "drawn";
      this.changed();
      this.report({ kind: incomplete(svg) ? "more" : "drawn" });
      if (incomplete(svg)) this.askAgain(path);
    } catch (error) {
      // Asked again with the next movement.
      if (path === this.asked) this.asked = "";
      if (error instanceof DOMException) return;
      this.holder.dataset.ground = "failed";
      this.report({ kind: "failed" });
    }
  }
}
