const THRESHOLD = 3;

// Dragging a thing to another place. What moves is lifted into a layer of its own; its lines
// pale until the answer brings their new ways.
export class Drag {
  constructor(view, selection) {
    this.view = view;
    this.selection = selection;
    this.lifted = document.getElementById("lifted");
    this.form = document.getElementById("moves");
    view.viewport.addEventListener("pointerdown", (event) => this.start(event));
    this.form.addEventListener("htmx:finally:request", () => this.settle());
  }

  start(event) {
    const group = event.button === 0 && event.target.closest("#layer-things > g");
    if (!group) return;
    const from = { x: event.clientX, y: event.clientY };
    const move = (moved) => this.move(group, moved.clientX - from.x, moved.clientY - from.y);
    const end = (ended) => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", end);
      window.removeEventListener("pointercancel", end);
      this.end(group, ended.clientX - from.x, ended.clientY - from.y, ended.type === "pointercancel");
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", end);
    window.addEventListener("pointercancel", end);
  }

  move(group, dx, dy) {
    if (!this.moving && Math.hypot(dx, dy) < THRESHOLD) return;
    if (!this.moving) {
      this.moving = true;
      this.view.touched = true;
      document.body.classList.add("dragging");
      this.lifted.append(group);
    }
    group.style.transform = `translate(${dx / this.view.scale}px, ${dy / this.view.scale}px)`;
  }

  end(group, dx, dy, cancelled) {
    if (!this.moving) return;
    this.moving = false;
    document.body.classList.remove("dragging");
    window.addEventListener("click", (event) => event.stopPropagation(), { capture: true, once: true });
    setTimeout(() => this.selection.choose(group.dataset.element));
    if (cancelled) return this.settle();
    this.send([[group.dataset.element, dx / this.view.scale, dy / this.view.scale]]);
  }

  send(moves) {
    document.getElementById("moves-value").value = JSON.stringify(moves);
    this.form.requestSubmit();
  }

  // What the answer did not replace goes back to where it stood.
  settle() {
    setTimeout(() => [...this.lifted.children].forEach((group) => {
      group.style.transform = "";
      document.getElementById("layer-things").append(group);
    }));
  }
}
