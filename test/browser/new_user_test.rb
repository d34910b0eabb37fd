# frozen_string_literal: true

require_relative "../support/browser_helper"

# Somebody new draws a network of thirty things and a model of ten entities, 60 ms from the server: with
# the keyboard alone, and with the pointer for everything but the words. With TRIAL set it is typed at
# eight keys a second and the time is told.
class NewUserTest < Minitest::Test
  include BrowserHelper

  EVERY = ENV["TRIAL"] ? 0.11 : 0.02
  SUBNETS = { "Office" => "10.1.0.0/24", "Plant" => "10.2.0.0/24", "Lab" => "10.3.0.0/24" }.freeze
  HOSTS = SUBNETS.keys.to_h { |name| [name, Array.new(7) { |n| "#{name.downcase}-#{n + 1}" }] }.freeze
  LINKS = [%w[edge-1 core-1], %w[edge-2 core-1], %w[core-1 acc-1], %w[core-1 acc-2]].freeze
  ENTITIES = {
    "Crew" => ["code key", "name required"],
    "Shift" => ["starts at key"],
    "Technician" => ["staff number key", "name"],
    "Skill" => ["title key"],
    "Site" => ["code key", "town"],
    "Asset" => ["tag key", "installed on"],
    "Job" => ["number key", "raised at"],
    "Part" => ["code key", "price"],
    "Reading" => ["taken at key", "value"],
    "Alarm" => ["raised at key"]
  }.freeze
  RELATIONS = [
    %w[Crew works Shift],
    ["Technician", "belongs to", "Crew"],
    %w[Technician holds Skill],
    ["Asset", "stands at", "Site"],
    %w[Crew does Job],
    %w[Job concerns Asset],
    %w[Job uses Part],
    %w[Asset gives Reading],
    %w[Reading raises Alarm]
  ].freeze

  def begin_on(notation)
    @project = project("project P\nsheet S: #{notation}")
    open_sheet(@project, "S")
    latency(0.06)
    @began = Time.now
  end

  def tell(words)
    return unless ENV["TRIAL"]

    puts format("%s: %.0f s", words, Time.now - @began)
    save_picture
  end

  def set = model_of(@project)
  def names(*kinds) = set.of_kind(*kinds).map(&:name)

  def assert_network
    tell name
    made = set
    assert_equal %w[acc-1 acc-2 core-1 edge-1 edge-2] + HOSTS.values.flatten.sort, made.of_kind("device").map(&:name).sort
    assert_equal SUBNETS.keys.sort, made.of_kind("subnet").map(&:name).sort
    joined = made.of_kind("attachment").map { |line| [made.element(line.target("thing")).name, made.element(line.target("subnet")).name] }
    assert_equal HOSTS.flat_map { |subnet, hosts| hosts.map { |host| [host, subnet] } }.sort,
                 joined.reject { |thing, _| thing.start_with?("edge") }.sort
    assert_equal LINKS.map(&:sort).sort, made.of_kind("link").map { |line| line.endpoints.map { |id| made.element(id).name }.sort }.sort
    assert_empty all("#refused .refusal", visible: :all).map(&:text)
  end

  def assert_model
    tell name
    made = set
    assert_equal ENTITIES.keys.sort, made.of_kind("entity").map(&:name).sort
    ENTITIES.each do |entity, attributes|
      owner = made.named(entity).find { |one| one.kind == "entity" }
      assert_equal attributes.map { |text| text.sub(%r{ (key|required)\z}, "") }, made.parts_of(owner.id).map(&:name), entity
      assert_equal attributes.grep(/key\z/).length, made.parts_of(owner.id).count { |part| part["key"] }, entity
    end
    assert_equal RELATIONS.map { |one, verb, other| [verb, one, other] }.sort,
                 made.of_kind("relationship").map { |line| [line.name, *line.endpoints.map { |id| made.element(id).name }] }.sort
  end

  # What the page draws is what the model holds, and no symbol lies on another.
  def assert_drawn
    made = set
    sheet = made.sheet_list.first
    boxes = made.things_on(sheet.id).to_h { |thing| [thing.id, made.placement(sheet.id, thing.id).box] }
    shown =
      page.evaluate_script(
        "Object.fromEntries([...document.querySelectorAll('#layer-things > g')].map((g) => [g.dataset.element, g.dataset.box]))"
      )
    assert_equal(
      boxes.transform_values { |box| [box.x, box.y, box.w, box.h].map(&:to_f) },
      shown.transform_values { |text| text.split.map(&:to_f) }
    )
    covered = made.things_on(sheet.id).flat_map { |thing| sheet.notation.obstacles(made, thing, made.placement(sheet.id, thing.id)) }
    covered.combination(2) { |one, other| refute one.overlap?(other) }
  end

  def test_a_network_with_the_keyboard_alone
    begin_on("logical network")
    press("/")
    lines =
      SUBNETS.map { |name, prefix| "subnet #{name} #{prefix}" } +
      ["router edge-1", "router edge-2", "switch core-1", "switch acc-1", "switch acc-2"]
    lines += HOSTS.flat_map { |subnet, hosts| hosts.each_with_index.map { |host, n| "workstation #{host} on #{subnet} at .#{n + 11}" } }
    lines += SUBNETS.keys.map { |name| "edge-1 on #{name} at .1, gateway" } + LINKS.map { |one, other| "#{one} to #{other}" }
    type(lines.map { |line| "#{line}\n" }.join, every: EVERY)
    assert_network
    assert_equal (11..17).map { |n| "10.2.0.#{n}" },
                 set
                   .of_kind("attachment")
                   .select { |line| set.element(line.target("thing")).name.start_with?("plant") }
                   .map { |line| line["address"] }
                   .sort
    assert_drawn
    press(:escape)
    page.send_keys("f")
    assert_equal 29, page.evaluate_script(<<~JS)
      (() => {
        const view = document.getElementById("viewport").getBoundingClientRect();
        const seen = (at) => at.left >= view.left && at.right <= view.right && at.top >= view.top && at.bottom <= view.bottom;
        return [...document.querySelectorAll("#layer-things > g")].filter((group) => seen(group.getBoundingClientRect())).length;
      })()
    JS
  end

  # Two stacked core units, ten access units, a port put in between, and the schedule handed over.
  def test_a_site_is_cabled_and_its_schedule_handed_over
    begin_on("physical network")
    press("/")
    access = (1..(ENV["TRIAL"] ? 10 : 4)).map { |n| format("acc-%02d", n) }
    lines = ["model access switch, ports 1-24 copper 1G, ports up1-up2 fibre 10G",
             "switch core-01, 2 members, ports 1-24 copper 1G, ports up1-up10 fibre 10G",
             *access.map { |name| "switch #{name}, model access switch" },
             "uplink acc-01..#{access.last} to core-01 twice, fibre 10G, 40m"]
    hosts = %w[desk-1 desk-2 desk-3]
    lines += hosts.each_with_index.map { |name, n|
      "workstation #{name}, ports eth0 copper 1G\n#{name} eth0 to acc-01 #{n + 1}, copper 1G, 15m"
    }
    lines += ["shift acc-01 2-3 by 1", "printer label-1, ports eth0 copper 100M/1G", "label-1 eth0 to acc-01 2, copper 1G, 9m"]
    type(lines.map { |line| "#{line}\n" }.join, every: EVERY)
    settled
    assert_wired(access)
    visit "/projects/#{@project.id}"
    click_link "Port schedule"
    assert_css "table.register tbody tr", text: "label-1", wait: 20
    tell name
    rows = page.evaluate_script("[...document.querySelectorAll('table.register tbody tr')].map((row) => " \
                                "row.innerText.split(/\\s+/).join(' '))")
    ["acc-01 1 desk-1 eth0", "acc-01 2 label-1 eth0", "acc-01 3 desk-2 eth0", "acc-01 4 desk-3 eth0"].each do |words|
      assert(rows.any? { |row| row.start_with?(words) }, words)
    end
  end

  def assert_wired(access)
    made = set
    assert_empty all("#refused .refusal", visible: :all).map(&:text)
    up = made.of_kind("link").select { |cable| cable.targets.include?(made.named("core-01").first.id) }
    ends = up.map { |cable| cable.ends.map { |one| [made.element(one.target_id).name, one.facts["port"]].join(" ") }.sort }
    assert_equal access.flat_map { |name| ["#{name} up1", "#{name} up2"] }.sort, ends.map(&:first).sort
    assert_equal 2 * access.length, ends.map(&:last).uniq.length
    assert_equal %w[parallel-without-bundle], Basalt::Checks::Runner.new(made).findings.map(&:id).uniq
    assert_drawn
  end

  def test_a_network_with_the_pointer
    begin_on("logical network")
    page.send_keys("1")
    place_all("router", %w[edge-1 edge-2], 120, 60)
    place_all("switch", %w[core-1 acc-1 acc-2], 500, 60)
    [["edge-1", HOSTS["Office"]], *HOSTS.values.each_cons(2).map { |upper, hosts| [upper.first, hosts] }].each do |upper, hosts|
      place_beneath("workstation", hosts, upper)
    end
    click_button "Fit"
    SUBNETS.each { |name, prefix| place_between("subnet", "#{name}\t#{prefix}", HOSTS[name].first) }
    HOSTS.each { |subnet, hosts| hosts.each { |host| join(host, subnet) } }
    LINKS.each { |one, other| join(one, other) }
    assert_network
    assert_drawn
    assert_equal "", page.evaluate_script("getSelection().toString()")
  end

  # Where a thing is on the screen as it is pointed at, which is when it is drawn.
  def at(name, across, down)
    assert_css "#layer-things > g[data-name='#{name}']", visible: :all
    page.evaluate_script(
      "((g, x, y) => { const r = g.getBoundingClientRect(); return [Math.round(r.x + r.width * x), Math.round(r.y + r.height * y)]; })" \
      "(document.querySelector(`#layer-things > g[data-name='${arguments[0]}']`), arguments[1], arguments[2])",
      name,
      across,
      down
    )
  end

  # From a little outside the edge of one to another.
  def join(one, other)
    x, y = at(one, 0.8, 1)
    page
      .driver
      .browser
      .action
      .move_to_location(x, y + 3)
      .click_and_hold
      .move_to_location(x + 4, y + 9)
      .move_to_location(*at(other, 0.4, 0.5))
      .release
      .perform
  end

  # A chip, and a click beneath what stands there, with room for a line of the subnet between.
  def place_beneath(noun, names, upper)
    click_button "Fit"
    find("button[data-noun='#{noun}']").click
    x, y = at(upper, 0.5, 3)
    page.driver.browser.action.move_to_location(x, y).click.perform
    type(names.map { |name| "#{name}\n" }.join, every: EVERY)
    type("\e")
  end

  # Above what stands there, by as much as it is high.
  def place_between(noun, words, lower)
    find("button[data-noun='#{noun}']").click
    page.driver.browser.action.move_to_location(*at(lower, 0.9, -0.7)).click.perform
    type("#{words}\n\e", every: EVERY)
  end

  # A chip, a click, and a name after another.
  def place_all(noun, names, x, y)
    find("button[data-noun='#{noun}']").click
    click_paper(x, y)
    type(names.map { |name| "#{name}\n" }.join, every: EVERY)
    type("\e")
  end

  def test_a_model_with_the_keyboard_alone
    begin_on("entities")
    press("/")
    lines = ENTITIES.keys.map { |name| "entity #{name}" } + ENTITIES.map { |name, attributes| "#{name} has #{attributes.join(", ")}" }
    lines += RELATIONS.map { |one, verb, other| "a #{one} #{verb} zero or more #{other}" }
    type(lines.map { |line| "#{line}\n" }.join, every: EVERY)
    assert_model
    assert_drawn
  end

  def test_a_model_with_the_pointer
    begin_on("entities")
    ENTITIES.keys.each_slice(4).with_index { |names, row| place_all("entity", names, 60, 60 + (row * 150)) }
    click_button "Fit"
    ENTITIES.each do |name, attributes|
      page.driver.browser.action.move_to_location(*at(name, 0.5, 0.5)).click.perform
      assert_css "#facts h2", text: name
      find(".parts-table tr.new td[data-key='name']").click
      type(attributes.map { |text| "#{text.sub(/ (key|required)\z/, "")}\n" }.join, every: EVERY)
      attributes.grep(/ (key|required)\z/) { |text| mark(text) }
      press(:escape)
    end
    click_button "Fit"
    RELATIONS.each { |one, verb, other| relate(one, verb, other) }
    assert_model
  end

  # A flag of an attribute in the margin's table.
  def mark(text)
    attribute, flag = text.match(/\A(.*) (key|required)\z/).captures
    all(".parts-table tbody tr").find { |row| row.first("td").text == attribute }.find("td[data-key='#{flag}']").click
    type("yes\n", every: EVERY)
  end

  def relate(one, verb, other)
    join(one, other)
    click_button "a relationship"
    assert_css "#facts h2", text: "#{one} – #{other}"
    find_field("fact-name").click
    chord(:control, "a")
    type("#{verb}\t", every: EVERY)
  end
end
