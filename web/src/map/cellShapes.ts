import type Feature from "ol/Feature";
import type Polygon from "ol/geom/Polygon";
import VectorSource from "ol/source/Vector";
import type { Cell, TrialCell } from "../api/types";
import { cellFeature, described, ringOf, type CellRole } from "./cells";

/**
 * The shapes of cells on a map. They stay the same ones while cells change, and those in the hand lie where the hand
 * has them, until the server's answer says where they are.
 */
export class CellShapes {
  readonly source = new VectorSource<Feature<Polygon>>();
  // The cells in the hand as they were when it took them, by id.
  private hand = new Map<number, Cell>();

  // Shows these cells and no others.
  show(cells: { cell: TrialCell; role: CellRole }[]) {
    const gone = new Set(this.source.getFeatures().map((feature) => feature.getId() as string));
    const fresh: Feature<Polygon>[] = [];
    for (const { cell, role } of cells) {
      const key = role === "ghost" ? `ghost ${cell.number}` : `${cell.id}`;
      const known = this.source.getFeatureById(key) as Feature<Polygon> | null;
      if (gone.delete(key) && known) this.renew(known, cell, role);
      else fresh.push(cellFeature(cell, role, key));
    }
    for (const key of gone) this.source.removeFeature(this.source.getFeatureById(key) as Feature<Polygon>);
    this.source.addFeatures(fresh);
  }

  take(cells: Cell[]) {
    this.hand = new Map(cells.map((cell) => [cell.id, cell]));
  }

  // By so much on the ground from where the hand took them.
  put(by: [number, number]) {
    for (const cell of this.hand.values())
      this.shape(cell)
        ?.getGeometry()!
        .setCoordinates([ringOf(cell, by)]);
  }

  // The hand is empty: what it still held lies where its cell is.
  drop() {
    const held = [...this.hand.values()];
    this.hand.clear();
    for (const cell of held) {
      const shape = this.shape(cell);
      shape?.getGeometry()!.setCoordinates([ringOf(shape.get("cell") as Cell)]);
    }
  }

  private shape = (cell: Cell) => this.source.getFeatureById(`${cell.id}`) as Feature<Polygon> | null;

  private renew(shape: Feature<Polygon>, cell: TrialCell, role: CellRole) {
    const before = shape.get("cell") as TrialCell;
    if (before === cell && shape.get("role") === role) return;
    described(shape, cell, role);
    if (before === cell) return;
    if (role !== "ghost" && same(before, cell) && cell.id !== null && this.hand.has(cell.id)) return;
    if (cell.id !== null) this.hand.delete(cell.id);
    shape.getGeometry()!.setCoordinates([ringOf(cell)]);
  }
}

const same = (one: TrialCell, other: TrialCell) =>
  one.corners.every(([x, y], place) => x === other.corners[place]![0] && y === other.corners[place]![1]);
