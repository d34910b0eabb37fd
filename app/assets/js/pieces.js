const MOST_GLIDING = 600;

// Puts the pieces of an answer into the drawing and the register: groups and rows replace
// those of the same id, new ones join their layer or table.
export class Pieces {
  constructor(view, selection, held) {
    Object.assign(this, { view, selection, held });
    this.version = 0;
    this.box = document.getElementById("pieces");
    new MutationObserver(() => this.take()).observe(this.box, { childList: true });
  }

  take() {
    const answer = this.box.querySelector("[data-version]");
    if (!answer) return;
    this.box.replaceChildren();
    // What was asked for before an act and answered after it is older than what stands there.
    if (Number(answer.dataset.version) < this.version) return;
    this.version = Number(answer.dataset.version);
    if (document.getElementById("drawing")) this.draw(answer);
    else if (document.getElementById("reading") && !document.getElementById("reading-text"))
      window.htmx.ajax("GET", window.location.pathname, { target: "#reading", select: "#reading", swap: "outerHTML" });
    this.fillTable(answer);
    const gone = answer.dataset.gone.split(" ").filter(Boolean);
    this.selection.prune(gone.filter((id) => id.startsWith("r")).map((id) => id.slice(1)));
    gone.forEach((id) =>
      id.startsWith("r") ? this.grids().forEach((grid) => grid.drop(id.slice(1))) : document.getElementById(id)?.remove(),
    );
    if (answer.dataset.fresh && !this.held()) this.selection.set(answer.dataset.fresh.split(" "));
    this.selection.mark();
    document.dispatchEvent(new CustomEvent("basalt:drawn", { detail: { grown: answer.dataset.grown === "true" } }));
  }

  draw(answer) {
    const whole = answer.dataset.whole === "true";
    const before = whole ? this.places() : this.leaving(answer);
    answer.querySelectorAll("g[data-layer]").forEach((pieces) => {
      const layer = document.getElementById(`layer-${pieces.dataset.layer}`);
      if (whole) layer.replaceChildren(...pieces.children);
      else [...pieces.children].forEach((piece) => this.put(piece, layer));
    });
    this.reveal(whole);
    if (this.view) {
      Object.assign(this.view.paper.dataset, { frame: answer.dataset.frame, extent: answer.dataset.extent });
      if (!this.view.touched && !this.held()) this.view.fit();
    }
    if (before) this.glide(before, whole);
    const teach = document.getElementById("teach");
    if (teach) teach.hidden = document.querySelectorAll("#layer-things > g").length > 0;
  }

  places() {
    return new Map(
      [...document.querySelectorAll("#layer-things > g[data-box]")].map((group) => [group.dataset.element, group.dataset.box]),
    );
  }

  // Where things stand that the answer puts elsewhere, unless somebody just dragged them there.
  leaving(answer) {
    if (this.view?.dropped) return null;
    const moved = [...answer.querySelectorAll("g[data-layer='things'] > g[data-box]")]
      .map((piece) => [piece.dataset.element, document.getElementById(piece.id)?.dataset.box, piece.dataset.box])
      .filter(([, was, now]) => was && was !== now);
    return moved.length ? new Map(moved) : null;
  }

  // What a tidying moved glides there, so that the eye can follow.
  glide(before, whole) {
    if (before.size > MOST_GLIDING || window.matchMedia("(prefers-reduced-motion: reduce)").matches) return;
    document.querySelectorAll("#layer-things > g[data-box]").forEach((group) => {
      const was = before.get(group.dataset.element);
      if (!was || was === group.dataset.box) return;
      const [x, y] = was.split(" ").map(Number);
      const [nx, ny] = group.dataset.box.split(" ").map(Number);
      group.animate([{ transform: `translate(${x - nx}px, ${y - ny}px)` }, { transform: "none" }], {
        duration: 320,
        easing: "ease-in-out",
      });
    });
    if (whole)
      document
        .querySelectorAll("#layer-lines, #layer-labels")
        .forEach((layer) => layer.animate([{ opacity: 0 }, { opacity: 0, offset: 0.7 }, { opacity: 1 }], { duration: 450 }));
  }

  // A thing that is new is brought into sight.
  reveal(whole) {
    if (!whole && this.view?.touched && this.fresh && document.activeElement?.id === "statement") this.view.reveal(this.fresh);
    this.fresh = null;
  }

  put(piece, layer) {
    const standing = document.getElementById(piece.id);
    if (!standing && layer.id === "layer-things") this.fresh = piece;
    if (!standing) return layer.append(piece);
    if (standing.parentNode === layer) return standing.replaceWith(piece);
    standing.remove();
    layer.append(piece);
  }

  // The register, and the tables in the margin.
  grids() {
    return [this.grid, ...(this.margin?.grids() ?? [])].filter((grid) => grid?.table);
  }

  fillTable(answer) {
    this.margin?.grids().forEach((grid) => grid.reload());
    const whole = answer.dataset.whole === "true";
    if (!this.grid?.table) {
      const first = whole || answer.querySelector("table[data-kind]") ? document.querySelector("#tabs [role=tab]") : null;
      if (first) first.click();
    } else if (whole) this.grid.reload();
    else this.grid.fill(answer.querySelectorAll(`table[data-kind="${CSS.escape(this.grid.table.dataset.kind)}"] tr`));
  }
}
