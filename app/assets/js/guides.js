import { things, box, around, svg } from "./geometry.js";

const NEAR = 6;

// While something is dragged: in line with the edges and middles of others, or at the same gap
// as between them, it snaps, and a line shows why.
export class Guides {
  constructor(view) {
    this.view = view;
    this.paper = document.getElementById("guides");
  }

  // What stands still while these move.
  begin(moving) {
    const ids = new Set(moving.map((one) => one.id));
    this.start = around(moving);
    this.others = things()
      .map(box)
      .filter((one) => !ids.has(one.id));
  }

  // How far to go from the start, snapped.
  snap(dx, dy) {
    const near = NEAR / this.view.scale;
    const moved = { x: this.start.x + dx, y: this.start.y + dy, w: this.start.w, h: this.start.h };
    const across = this.best(moved.x, moved.w, "x", "w", "cx", near, moved);
    const down = this.best(moved.y, moved.h, "y", "h", "cy", near, moved);
    this.draw(across, down, { ...moved, x: moved.x + (across?.by ?? 0), y: moved.y + (down?.by ?? 0) });
    return [dx + (across?.by ?? 0), dy + (down?.by ?? 0)];
  }

  best(from, size, start, extent, middle, near, moved) {
    let found = null;
    const offer = (by, at, other) => {
      if (Math.abs(by) <= near && (!found || Math.abs(by) < Math.abs(found.by))) found = { by, at, other };
    };
    this.others.forEach((other) => {
      const low = other[start];
      const high = other[start] + other[extent];
      offer(low - from, low, other);
      offer(high - (from + size), high, other);
      offer(other[middle] - (from + size / 2), other[middle], other);
    });
    return found ?? this.gap(from, size, start, extent, near, moved);
  }

  // As far from a neighbour as that is from its own, along one row or column.
  gap(from, size, start, extent, near, moved) {
    const [side, length] = start === "x" ? ["y", "h"] : ["x", "w"];
    const row = this.others
      .filter((one) => one[side] < moved[side] + moved[length] && moved[side] < one[side] + one[length])
      .sort((a, b) => a[start] - b[start]);
    for (let index = 0; index + 1 < row.length; index += 1) {
      const [one, two] = [row[index], row[index + 1]];
      const gap = two[start] - (one[start] + one[extent]);
      if (gap <= 0) continue;
      const after = two[start] + two[extent] + gap - from;
      const before = one[start] - gap - size - from;
      const by = Math.abs(after) < Math.abs(before) ? after : before;
      if (Math.abs(by) <= near) return { by, gap, between: [one, two] };
    }
    return null;
  }

  draw(across, down, moved) {
    this.paper.replaceChildren(...[this.line(across, moved, true), this.line(down, moved, false)].flat().filter(Boolean));
  }

  line(found, moved, upright) {
    if (!found) return null;
    if (found.between)
      return found.between.map((one) => svg("rect", { class: "guide-gap", x: one.x, y: one.y, width: one.w, height: one.h }));
    const { other, at } = found;
    if (upright)
      return svg("path", {
        class: "guide",
        d: `M${at} ${Math.min(other.y, moved.y) - 12}V${Math.max(other.bottom, moved.y + moved.h) + 12}`,
      });
    return svg("path", {
      class: "guide",
      d: `M${Math.min(other.x, moved.x) - 12} ${at}H${Math.max(other.right, moved.x + moved.w) + 12}`,
    });
  }

  end() {
    this.paper.replaceChildren();
  }
}
