// The way down that somebody took, kept while the page lives in its tab: coming up again leads to where they came from, with
// what opened selected and the view as it was.
const KEY = "basalt-trail";
const VIEWS = "basalt-views";
const MOST = 30;

export class Trail {
  constructor(selection, view) {
    Object.assign(this, { selection, view, here: window.location.pathname });
    this.steps = this.read(KEY, []);
    this.come();
    this.tell();
    document.addEventListener("click", (event) => this.clicked(event));
    window.addEventListener("pagehide", () => this.keepView());
  }

  read(key, other) {
    try {
      return JSON.parse(window.sessionStorage.getItem(key)) ?? other;
    } catch {
      return other;
    }
  }

  write(key, value) { window.sessionStorage.setItem(key, JSON.stringify(value)); }

  // Whoever came by another way has no way back but the sheet's own.
  come() {
    const at = this.steps.findIndex((step) => step.path === this.here);
    if (at >= 0) this.steps.length = at;
    else if (this.steps.at(-1)?.to !== this.here) this.steps = [];
    this.write(KEY, this.steps);
    const view = this.read(VIEWS, {})[this.here];
    if (at >= 0 && view && this.view) this.view.take(view);
  }

  clicked(event) {
    const link = event.target.closest("a[data-down]");
    if (link && !event.ctrlKey && !event.metaKey && !event.shiftKey) this.down(link);
  }

  // Notes where somebody goes down from; the link itself leads there.
  down(link) {
    const to = new URL(link.href).pathname;
    const name = document.querySelector(".where strong").textContent;
    this.steps.push({ path: this.here, name, id: this.selection.id, to });
    this.write(KEY, this.steps.slice(-MOST));
  }

  // Where the way led that ends here.
  get above() {
    const last = this.steps.at(-1);
    return last && `${last.path}${last.id ? `#${last.id}` : ""}`;
  }

  keepView() {
    const { x, y, k } = this.view?.transform ?? {};
    if (k && this.view.touched) this.write(VIEWS, { ...this.read(VIEWS, {}), [this.here]: { x, y, k } });
  }

  // The path at the top tells the way that was taken.
  tell() {
    const way = document.getElementById("way");
    if (!way || this.steps.length === 0) return;
    way.replaceChildren(
      ...this.steps.flatMap(({ path, name, id }) => {
        const link = document.createElement("a");
        link.href = `${path}${id ? `#${id}` : ""}`;
        link.textContent = name;
        return [link, " / "];
      }),
    );
  }
}
