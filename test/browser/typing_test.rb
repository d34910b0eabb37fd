# frozen_string_literal: true

require_relative "../support/browser_helper"

# Somebody types and points as people do, eight keys a second, and waits for nothing: whatever the
# server's distance and moods, the model holds what was typed, nothing else, and nothing is refused.
class TypingTest < Minitest::Test
  include BrowserHelper

  WEATHER = {
    "near" => -> {},
    "60 ms away" => -> { latency(0.06) },
    "300 ms away" => -> { latency(0.3) },
    "failing, losing answers and slow" => -> { latency(0.06) || SERVED.trouble(nil, :fails, :loses, :slow) },
    "restarted in between" => -> { @restarts = true }
  }.freeze

  NETWORK = "project P\nsheet S: logical network\nrouter gw\nserver s1\nserver s2\nserver s10\nsubnet Office 10.1.0.0/24"
  DATA = "project P\nsheet S: tables\ntable crews\ntable depots\ncrews has crew_id bigint key\ndepots has depot_id bigint key"

  def in_every_weather(text)
    WEATHER.each do |name, weather|
      @weather = name
      @restarts = false
      SERVED.renew
      AppHelper.instance_method(:setup).bind_call(self)
      @project = project(text)
      open_sheet(@project, "S")
      instance_exec(&weather)
      yield
      latency(0)
    end
  end

  # In the midst of the typing the server goes away for a moment.
  def type(text, every: 0.08)
    return super unless @restarts

    super(text[0, text.length / 2], every:)
    SERVED.restart(1.5)
    @restarts = false
    super(text[(text.length / 2)..], every:)
  end

  # What the project holds, as sentences.
  def holds(*sentences)
    settled
    set = model_of(@project)
    told = Basalt::Statements::Unparser.new(set).sentences(set.sheet_list.first.id).flat_map(&:last)
    assert_equal sentences.sort, told.sort, @weather
    assert_empty SERVED.bad.map(&:to_a), @weather
    assert_no_css "#refused .refusal", visible: :all
    assert_no_css "#answer .refusal", visible: :all
  end

  def focus = page.evaluate_script("document.activeElement.id || document.activeElement.dataset.key || document.activeElement.className")
  def begun = ["router gw", "server s1", "server s10", "server s2", "subnet Office 10.1.0.0/24"]

  def test_new_rows_of_the_register
    in_every_weather("project P\nsheet S: logical network") do
      press("2")
      type("web\tserver\ndb\tstorage\nfw\tfirewall\nu1\tups\nx\tfirewall\n")
      assert_equal "name", focus, @weather
      holds "server web", "storage db", "firewall fw", "ups u1", "firewall x"
      assert_equal %w[web db fw u1 x], all("#table tr[data-element] td[data-key=name]").map(&:text), @weather
    end
  end

  def test_existing_cells_of_a_sorted_table
    in_every_weather(NETWORK) do
      click_button "Devices"
      find("th[data-key='name'] .sort").click
      find("th[data-key='name'][aria-sort='ascending']")
      find("#table tbody:nth-of-type(1) tr:first-child td[data-key='name']").click
      type("zz\tfirewall\na1\tserver\nb1\n")
      assert_equal "name", focus, @weather
      holds "firewall zz", "server a1", "server b1", "server s10", "subnet Office 10.1.0.0/24"
    end
  end

  def test_a_pasted_range_with_typing_behind_it
    in_every_weather(NETWORK) do
      click_button "Devices"
      find("#table tr.new td[data-key='name']").click
      page.execute_script(<<~JS, "p1\tserver\np2\tstorage\np3\tserver")
        const held = new DataTransfer();
        held.setData('text/plain', arguments[0]);
        document.activeElement.dispatchEvent(new ClipboardEvent('paste', {clipboardData: held, bubbles: true, cancelable: true}));
      JS
      type("q1\tserver\nq2\n")
      holds(*begun, "server q1", "storage q2", "server p3")
    end
  end

  def test_ten_statements_in_a_burst
    in_every_weather("project P\nsheet S: logical network") do
      press("/")
      lines = [
        "subnet Office 10.1.0.0/24",
        *(1..4).map { |n| "server w#{n}" },
        "router gw",
        "w1 on Office at .11",
        "w2 on Office at .12",
        "gw on Office at .1, gateway",
        "note on w3: spare"
      ]
      type(lines.map { |line| "#{line}\n" }.join, every: 0.06)
      assert_equal ["statement", ""], [focus, find_field("statement").value], @weather
      holds "subnet Office 10.1.0.0/24",
            *(1..4).map { |n| "server w#{n}" },
            "router gw",
            "w1 is on Office at 10.1.0.11",
            "w2 is on Office at 10.1.0.12",
            "gw is on Office at 10.1.0.1, gateway",
            "note on w3: spare"
    end
  end

  def test_placing_and_naming_ten_things
    in_every_weather("project P\nsheet S: logical network\nserver old") do
      find("button[data-noun='router']").click
      at = place(find("#viewport"))
      page.driver.browser.action.move_to_location(at["x"] + 60, at["y"] + 90).click.perform
      type((1..10).map { |n| "r#{n}\n" }.join)
      type("\e")
      holds "server old", *(1..10).map { |n| "router r#{n}" }
      assert_no_css "#inplace form"
      assert_apart
    end
  end

  # No thing stands on another.
  def assert_apart
    set = model_of(@project)
    boxes = set.placements_on(set.sheet_list.first.id).filter_map(&:box)
    boxes.combination(2) { |one, other| refute one.overlap?(other), "two things overlap, #{@weather}" }
  end

  def test_names_and_facts_in_place
    in_every_weather(NETWORK) do
      thing("s1").double_click
      type("mail\tstorage\n")
      thing("s2").double_click
      type("web\n")
      assert_equal "viewport", focus
      holds "router gw", "storage mail", "server web", "server s10", "subnet Office 10.1.0.0/24"
    end
  end

  def test_facts_in_the_margin
    in_every_weather("project P\nsheet S: logical network\nsubnet Office 10.1.0.0/24\nserver s1") do
      thing("Office").click
      find_field("fact-vlan")
      find_field("fact-name").click
      chord(:control, "a")
      type("Hall\t10.2.0.0/24\t40\tblue\t")
      refute_equal "", focus
      holds "server s1", "subnet Hall 10.2.0.0/24, vlan 40, space blue"
    end
  end

  def test_the_reading_edited_as_text
    in_every_weather(NETWORK) do
      visit "#{current_path}/reading"
      click_button "Edit as text"
      chord(:control, :end)
      type("\nserver extra")
      chord(:control, :enter)
      type("\nserver more")
      chord(:control, :enter)
      holds(*begun, "server extra", "server more")
    end
  end

  def test_the_activity_table
    in_every_weather("project P\nsheet S: activities") do
      find("#tab-activity").click
      find("#table tr.new td[data-key='end who']").click
      type("Caller\treports a leak\t\tleak report\tDesk\nDesk\tassesses the leak\n")
      assert_equal "end who", focus, @weather
      holds "role Caller", "role Desk", "Caller reports a leak, giving \"leak report\" to Desk", "Desk assesses the leak"
    end
  end

  def test_columns_of_a_table
    in_every_weather(DATA) do
      click_button "Columns", match: :first, id: "tab-column"
      find("#table tr.new td[data-key='part of']").click
      type("crews\tname\ttext\ncrews\tcode\tint\ndepots\ttown\ttext\n")
      assert_equal "part of", focus, @weather
      holds "table crews",
            "table depots",
            "crews has crew_id bigint key, name text, code int",
            "depots has depot_id bigint key, town text"
    end
  end

  # What was typed stands at once, and nothing moves while somebody types on.
  def test_a_sheet_that_grew_is_laid_out_afresh_when_nobody_does_anything
    project = project("project P\nsheet S: logical network")
    sheet = sheet_of(project, "S")
    crowded(project, sheet)
    open_sheet(project, "S")
    latency(0.06)
    find_field("statement").click
    type("server late\nlate to t0\nlate to t9\n")
    page.document.synchronize(15, errors: [Capybara::ElementNotFound]) { growths(project).any? || raise(Capybara::ElementNotFound) }
    settled
    assert_equal ["said: late to t9"], growths(project), "in the pause behind the last"
    assert_equal places(project, sheet), shown_places
    assert_operator crossings(project, sheet), :<=, 2
    find("#viewport").click
    3.times { chord(:control, "z") }
    settled
    assert_empty model_of(project).named("late")
    assert_equal places(project, sheet), shown_places
  end

  private

  # Names first, then lines between any two, and nothing of it laid out.
  def crowded(project, sheet)
    lines = Array.new(17) { |n| "server t#{n}" } + (1...17).map { |n| "t#{n} to t#{(n * 7) % n}" }
    Store::ProjectSession.for(project.id).open do |open|
      lines.each do |line|
        open.act(said: line, by: "test", sheet_id: sheet.id, grow: false) do |draft|
          Basalt::Statements::Document.new(line).into(draft, sheet_id: sheet.id)
        end
      end
    end
  end

  # @return [Array<String>] what was said before the sheet was laid out
  def growths(project) = Store::JournalEntry.where(project_id: project.id, act: "growth").pluck(:said)

  def places(project, sheet)
    set = model_of(project)
    set.things_on(sheet.id).to_h { |thing| [thing.id, set.placement(sheet.id, thing.id).then { |at| [at.x, at.y].map(&:round) }] }
  end

  def shown_places
    all("#layer-things > g[data-box]").to_h { |group|
      [group["data-element"], group["data-box"].split.first(2).map { |one|
        one.to_f.round
      }]
    }
  end

  def crossings(project, sheet)
    set = model_of(project)
    boxes = set.placements_on(sheet.id).select(&:box).to_h { |placed| [placed.key, placed.box] }
    lines = sheet.notation.lines_on(set, sheet.id).map { |line| [*line.endpoints, set.placement(sheet.id, line.id).route["points"]] }
    Basalt::Layout::Quality.new(boxes, lines).crossings
  end
end
