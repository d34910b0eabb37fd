# frozen_string_literal: true

require_relative "../support/browser_helper"

# Scripts of the page, each by itself in a real browser, by what must hold whatever happens to them.
class ScriptsTest < Minitest::Test
  include BrowserHelper

  # Numbers that look random and are the same each time.
  RANDOM = <<~JS
    const random = (seed) => () => { seed = (seed + 0x6D2B79F5) | 0; let t = Math.imul(seed ^ (seed >>> 15), 1 | seed); t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t; return ((t ^ (t >>> 14)) >>> 0) / 4294967296; };
    const pick = (chance, list) => list[Math.floor(chance() * list.length)];
  JS

  def setup
    super
    visit "/projects"
  end

  # @param script [String] the inside of a function that may wait, with +load+ for a script of the page
  # @return [Object] what it returns
  def run_script(script, *given)
    answer = page.evaluate_async_script(<<~JS, given)
      const [given, done] = [arguments[0], arguments[arguments.length - 1]];
      const load = (name) => import(`/sources/${name}.js`);
      #{RANDOM}
      (async () => { #{script} })().then((value) => done({ value: value ?? null }), (error) => done({ error: `${error}\\n${error.stack}` }));
    JS
    refute answer["error"], answer["error"]
    answer["value"]
  end

  # A server of many moods in the place of fetch.
  MOODS = <<~JS
    const { Outbox } = await load("outbox");
    const run = async (seed) => {
      const chance = random(seed);
      const [kept, sent, told] = [[], [], { answered: [], refused: [] }];
      let [flying, most] = [0, 0];
      const shelf = { take: async () => [], keep: (acts) => { kept.splice(0, kept.length, ...acts.map((act) => act.id)); } };
      const outbox = new Outbox(shelf, { answered: async (act) => { told.answered.push(act.label); }, refused: (act) => { told.refused.push(act.label); }, waits: () => {} });
      outbox.pause = () => Promise.resolve();
      outbox.renew = async () => true;
      const done = new Map();
      window.fetch = async (path, { headers }) => {
        flying += 1;
        most = Math.max(most, flying);
        await new Promise((resolve) => setTimeout(resolve, Math.floor(chance() * 3)));
        flying -= 1;
        const mood = pick(chance, ["ok", "ok", "ok", "lost", "away", "fails", "busy", "session", "refuses"]);
        const id = headers["X-Act"];
        if (mood === "away") throw new TypeError("no connection");
        if (mood === "refuses" && !done.has(id)) { done.set(id, "refused"); sent.push([path, "refused"]); }
        if (["ok", "lost"].includes(mood) && !done.has(id)) { done.set(id, "taken"); sent.push([path, "taken"]); }
        const status = { ok: 200, lost: 500, fails: 500, busy: 503, session: 403, refuses: 422 }[mood];
        const answer = done.get(id) === "refused" ? 422 : done.get(id) === "taken" && mood === "refuses" ? 200 : status;
        return { ok: answer < 300, status: answer, text: async () => "", headers: { get: () => null } };
      };
      const acts = Array.from({ length: 14 }, (_, n) => ({ path: `act ${n}`, entries: [], label: `act ${n}`, makes: [`thing ${n}`], about: n && chance() < 0.4 ? [`thing ${Math.floor(chance() * n)}`] : [] }));
      const settled = await Promise.all(acts.map((act) => outbox.add(act)));
      return { acts, sent, told, most, kept: [...kept], left: outbox.acts.length, oks: settled.map((one) => one.ok) };
    };
  JS

  def test_acts_arrive_once_in_order_or_are_refused_with_all_that_rests_on_them
    12.times do |seed|
      ran = run_script("#{MOODS} return run(given[0]);", seed)
      taken = ran["sent"].select { |_, fate| fate == "taken" }.map(&:first)
      labels = ran["acts"].map { |act| act["label"] }
      assert_equal taken, labels & taken, "#{seed}: in order"
      assert_equal taken.uniq, taken, "#{seed}: once"
      assert_equal 1, ran["most"], "#{seed}: one at a time"
      assert_empty ran["kept"], seed
      assert_equal [0, labels.length], [ran["left"], ran["oks"].length], seed
      assert_equal labels.sort, (ran["told"]["answered"] + ran["told"]["refused"]).sort, "#{seed}: each is told of once"
      assert_rests(ran, seed)
    end
  end

  # What was built on something refused was refused too, and never sent.
  def assert_rests(ran, seed)
    refused = ran["told"]["refused"]
    gave_up = ran["acts"].select { |act| refused.include?(act["label"]) }.flat_map { |act| act["makes"] }
    ran["acts"].select { |act| act["about"].intersect?(gave_up) }.each { |act| assert_includes refused, act["label"], seed }
    assert_equal refused.sort, ran["acts"].zip(ran["oks"]).reject(&:last).map { |act, _| act["label"] }.sort, seed
  end

  def test_what_waits_is_kept_and_taken_over_from_tabs_that_are_gone
    kept = run_script(<<~JS)
      localStorage.clear();
      const { Shelf } = await load("shelf");
      const first = new Shelf();
      first.keep([{ id: "a" }, { id: "b" }, { id: "f", files: new FormData() }]);
      localStorage.setItem("basalt.outbox.gone", JSON.stringify([{ id: "c" }]));
      localStorage.setItem("basalt.outbox.broken", "{");
      const again = new Shelf();
      const taken = (await again.take()).map((act) => act.id);
      again.keep([]);
      const doubled = new Shelf();
      await new Promise((resolve) => setTimeout(resolve, 20));
      await doubled.take();
      return { taken, tabs: [first.tab === again.tab, doubled.tab === again.tab], left: Object.keys(localStorage).filter((key) => key.startsWith("basalt.outbox.")) };
    JS
    assert_equal({ "taken" => %w[a b c], "tabs" => [true, false], "left" => [] }, kept)
  end

  def test_the_end_of_a_line_goes_along_on_the_page_as_it_does_on_the_server
    random = Random.new(3)
    routes = Array.new(150) { route(random) }
    moves = routes.map { [random.rand(-80..80), random.rand(-80..80)] }
    script =
      "const { dragStart, dragEnd } = await load('geometry'); return given[0].map((points, n) => [dragStart(points, ...given[1][n]), " \
      "dragEnd(points, ...given[1][n])]);"
    moved = run_script(script, routes, moves)
    simple = ->(points) { Basalt::Layout::Polyline.simplify(points.map { |point| point.map(&:round) }) }
    routes
      .zip(moves, moved)
      .each do |points, by, (start, finish)|
        [start, finish].each { |line| line.each_cons(2) { |one, other| assert one[0] == other[0] || one[1] == other[1], line.inspect } }
        assert_equal simple.call(Basalt::Layout::Polyline.drag_start(points, *by)), simple.call(start) if points.length > 2
        assert_equal [points[0].zip(by).map(&:sum), points.last, points.first, points.last.zip(by).map(&:sum)],
                     [start.first, start.last, finish.first, finish.last]
      end
  end

  def route(random)
    points = [[random.rand(500), random.rand(500)]]
    upright = random.rand(2).zero?
    random
      .rand(1..5)
      .times do
        x, y = points.last
        by = random.rand(20..200) * [1, -1].sample(random:)
        points << (upright ? [x, y + by] : [x + by, y])
        upright = !upright
      end
    points
  end

  def test_the_neighbour_in_a_direction_lies_in_it_and_no_other_is_nearer
    random = Random.new(5)
    60.times do
      boxes = Array.new(9) { |n| { id: n.to_s, cx: random.rand(900), cy: random.rand(900) } }
      %w[ArrowLeft ArrowRight ArrowUp ArrowDown].each do |key|
        found =
          run_script(
            "const { nearest, DIRECTIONS } = await load('geometry'); return nearest(given[0][0], given[0], DIRECTIONS[given[1]])?.id;",
            boxes,
            key
          )
        assert_equal [nearest(boxes, key)], [found], key
      end
    end
  end

  def nearest(boxes, key)
    from, *others = boxes
    dx, dy = { "ArrowLeft" => [-1, 0], "ArrowRight" => [1, 0], "ArrowUp" => [0, -1], "ArrowDown" => [0, 1] }.fetch(key)
    ahead =
      others
        .map do |box|
          across, down = box[:cx] - from[:cx], box[:cy] - from[:cy]
          [box, (across * dx) + (down * dy), (across * dy).abs + (down * dx).abs]
        end
        .select { |_, along, _| along > 1 }
    ahead.min_by { |_, along, aside| along + (2 * aside) }&.first&.fetch(:id)
  end

  def test_what_is_dragged_snaps_only_to_what_is_near_and_then_stands_in_line
    found = run_script(<<~JS)
      document.body.innerHTML = '<svg><g id="layer-things"></g><g id="layer-boundaries"></g><g id="guides"></g></svg>';
      const { Guides } = await load("guides");
      const chance = random(7);
      const results = [];
      for (let round = 0; round < 200; round += 1) {
        const boxes = Array.from({ length: 6 }, (_, n) => [n * 150 + Math.floor(chance() * 40), Math.floor(chance() * 600), 60 + Math.floor(chance() * 60), 40]);
        const layer = document.getElementById("layer-things");
        layer.replaceChildren(...boxes.map((box, n) => { const g = document.createElementNS("http://www.w3.org/2000/svg", "g"); g.dataset.box = box.join(" "); g.dataset.element = String(n); return g; }));
        const guides = new Guides({ scale: 1 });
        const [x, y, w, h] = boxes[0];
        guides.begin([{ id: "0", x, y, w, h, right: x + w, bottom: y + h }]);
        const by = [Math.floor(chance() * 700), Math.floor(chance() * 700) - 300];
        results.push({ boxes, by, snapped: guides.snap(...by), drawn: document.getElementById("guides").childElementCount });
      }
      return results;
    JS
    found.each do |one|
      shift = one["snapped"].zip(one["by"]).map { |to, from| (to - from).abs }
      assert(shift.all? { |by| by <= 6 }, one.inspect)
      x, y, w, h = one["boxes"][0]
      stands = Basalt::Layout::Box.new(x: x + one["snapped"][0], y: y + one["snapped"][1], w:, h:)
      others = one["boxes"].drop(1).map { |box| Basalt::Layout::Box.new(x: box[0], y: box[1], w: box[2], h: box[3]) }
      next assert_equal 0, one["drawn"] if shift == [0, 0] && one["drawn"].zero?

      in_line =
        others.any? { |box| %i[x right cx y bottom cy].any? { |side| (box.public_send(side) - stands.public_send(side)).abs < 0.01 } }
      assert in_line || even_gaps?(stands, others), one.inspect
    end
  end

  def even_gaps?(box, others)
    [%i[x right], %i[y bottom]].any? do |from, to|
      others
        .permutation(2)
        .any? do |one, two|
          gap = two.public_send(from) - one.public_send(to)
          gap.positive? &&
            [box.public_send(from) - two.public_send(to), one.public_send(from) - box.public_send(to)].any? do |other|
              (other - gap).abs < 0.01
            end
        end
    end
  end

  def test_ids_are_of_their_kind_and_never_the_same
    ids = run_script("const { newId } = await load('ids'); return Array.from({ length: 3000 }, () => newId());")
    assert_equal ids.uniq, ids
    ids.each { |id| assert_match(/\A\h{8}-\h{4}-4\h{3}-[89ab]\h{3}-\h{12}\z/, id) }
  end

  def test_what_has_the_focus_is_made_over_and_never_replaced
    kept = run_script(<<~JS)
      document.body.innerHTML = '<form id="session"></form><div id="answer"></div><section id="facts"><p>old</p><input id="held" value="a"></section><section id="other"><p>old</p></section>';
      const { Answers } = await load("answers");
      const answers = new Answers();
      const held = document.getElementById("held");
      held.focus();
      held.value = "being typed";
      const tasks = [{ target: "#facts", swapSpec: { style: "innerHTML" } }, { target: document.getElementById("other"), swapSpec: { style: "innerHTML" } }, { target: held, swapSpec: { style: "innerHTML" } }];
      answers.gently(tasks);
      answers.restore([{ origin: { field: "held", value: "older", path: "/x" } }]);
      return { styles: tasks.map((task) => task.swapSpec.style), value: held.value, reason: Answers.reason('<div role="alert"><p>not an address</p><button data-first="x">Say x first</button></div>') };
    JS
    assert_equal %w[innerMorph innerHTML innerHTML], kept["styles"]
    assert_equal "being typed", kept["value"]
    assert_equal({ "words" => "not an address", "first" => "x", "offer" => "Say x first" }, kept["reason"])
  end
end
