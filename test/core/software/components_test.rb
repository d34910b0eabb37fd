# frozen_string_literal: true

require_relative "../../support/core_helper"

# Components: what passes to them from outside, which interfaces join them, and how they are drawn.
class ComponentsTest < Minitest::Test
  include CoreHelper

  CONTEXT = "sheet X: context\nsystem Desk\nCaller gives report to Desk\nDesk gives answer to Caller\n" \
            "sheet K: components, about Desk\nsystem Desk\n".freeze

  def draft(set) = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
  def named(set, name, kind) = set.named(name).find { |one| one.kind == kind }

  RULES = {
    "line-lands-nowhere" => [
      ["component A", "component B", "A takes report from Caller"],
      ["component A", "component B", "A takes report from Caller", "B hands answer to Caller"]
    ],
    "required-not-provided" => [
      ["component A", "interface I", "A requires I"],
      ["component A", "component B", "interface I", "A requires I", "B provides I"]
    ],
    "provided-not-used" => [
      ["component A", "interface I", "A provides I"],
      ["component A", "component B", "interface I", "A requires I", "B provides I"]
    ],
    "component-cycle" => [
      ["component A", "component B", "interface I", "A requires I", "B provides I", "B depends on A"],
      ["component A", "component B", "interface I", "A requires I", "B provides I", "A depends on B"]
    ],
    "more-than-one-centre" => [
      ["component A", "system Other", "component B in Other"],
      ["component A", "component B in A", "system Other"]
    ]
  }.freeze

  def test_each_finding_is_found_and_its_near_misses_are_not
    RULES.each do |rule, (wrong, *right)|
      found = findings(model(CONTEXT + wrong.join("\n"))).select { |one| one.id == rule }
      assert_equal 1, found.length, "#{rule}: #{found.map(&:message)}"
      right.each { |lines| refute_includes ids_of(model(CONTEXT + lines.join("\n"))), rule, "#{rule}: #{lines}" }
    end
  end

  def test_one_component_alone_is_offered_what_lands_nowhere
    set = model("#{CONTEXT}component A")
    one = draft(set)
    findings(set).select { |found| found.id == "line-lands-nowhere" }.each { |found| one.apply(found.repair.changes) }
    assert_equal %w[answer report], one.of_kind("exchange").map { |line| line["what"] }.sort
    refute_includes Checks::Runner.new(one).findings.map(&:id), "line-lands-nowhere"
  end

  def test_the_system_of_a_context_opens_into_its_components
    set = model("sheet X: context\nsystem Desk\nCaller gives report to Desk\ncomponent A in Desk")
    one = draft(set)
    opener = Openers.for(set, named(set, "Desk", "system")).find { |found| found.class::NOTATION == "components" }
    id = opener.draw(one, named(one, "Desk", "system"))
    assert_equal ["A", "Caller", "Desk"], one.things_on(id).map(&:name).sort
    assert_equal named(one, "Desk", "system").id, one.sheets[id].subject_id
    assert_equal id, opener.draw(one, named(one, "Desk", "system")), "a second time it is the same sheet"
    fresh = Statements::Context.new(one, sheet_id: id)
    Statements::Line.take("component B", fresh)
    assert_equal named(one, "Desk", "system").id, named(one, "B", "component").container_id, "what is declared there is in it"
  end

  def test_lines_meet_ports_and_sockets
    set = model("#{CONTEXT}component A\ncomponent B\ninterface I\nA has the port web\nA.web provides I\nB requires I", tidy: true)
    sheet = set.sheet_list.last
    provided, needed = %w[provision need].map { |kind| set.placement(sheet.id, set.of_kind(kind).first.id).route["points"] }
    box = set.placement(sheet.id, named(set, "A", "component").id).box
    ball = Basalt::Software::Notation::Ball.middle(set.placement(sheet.id, named(set, "I", "class").id).box)
    assert_in_delta box.x - 5, provided.first[0], 1, "it begins at the port, on the edge"
    [provided, needed].each do |points|
      away = (points.last[0] - ball[0]).abs + (points.last[1] - ball[1]).abs
      assert_in_delta Basalt::Software::Notation::Ball::SOCKET, away, 1
    end
    drawn = Drawing::SVG.document(Drawing::Scene.new(set, sheet.id), description: "x")
    assert_includes drawn, "web"
  end

  def test_a_port_is_renamed_and_struck_in_words
    set = model("#{CONTEXT}component A\nA has the port web")
    before = reading(set).split("\n")
    sheet = set.sheet_list.last
    lines = Statements::Unparser.new(set).sheet(sheet.id)
    one = draft(set)
    Statements::ReadingPatch.new(set, sheet.id, lines, lines.map { |line| line.sub("port web", "port phone") }).into(one)
    assert_equal ["phone"], one.of_kind("port").map(&:name)
    two = draft(set)
    Statements::ReadingPatch.new(set, sheet.id, lines, lines.reject { |line| line.include?("port web") }).into(two)
    assert_empty two.of_kind("port")
    assert_includes before, "A has the port web"
  end

  # A chain of components, and everywhere an outsider that takes and gives.
  def test_outsiders_stand_beside_the_boundary_and_their_lines_run_apart
    (2..6).each do |count|
      random = Random.new(count)
      parts = (1..count).map { |n| "component C#{n}" }
      joins = (2..count).map { |n| ["interface I#{n}", "C#{n} provides I#{n}", "C#{random.rand(1...n)} requires I#{n}"] }
      lines = (1..count).flat_map { |n| ["C#{n} takes in#{n} from N#{n}", "C#{n} hands out#{n} to N#{n}"] }
      context = "sheet X: context\nsystem Desk\n#{(1..count).map { |n| "N#{n} gives in#{n} to Desk" }.join("\n")}\n"
      set = model([context, "sheet K: components, about Desk", "system Desk", *parts, *joins, *lines].join("\n"), tidy: true)
      assert_apart(set, set.sheet_list.last, count)
    end
  end

  def assert_apart(set, sheet, count)
    frame = set.placement(sheet.id, named(set, "Desk", "system").id).box
    outside = (1..count).map { |n| set.placement(sheet.id, set.named("N#{n}").first.id).box }
    outside.each { |box| refute box.overlap?(frame) }
    outside.combination(2) { |one, other| refute one.overlap?(other) }
    (1..count).each do |n|
      pair = set.of_kind("exchange").select { |line| line["what"].end_with?(n.to_s) }
      routes = pair.map { |line| set.placement(sheet.id, line.id).route["points"] }
      one, other = routes.map { |points| Layout::Polyline.boxes(points) }
      refute one.product(other).any? { |a, b| along?(a, b) }, "of #{n} among #{count}"
    end
  end

  # Whether two segments lie on one another.
  def along?(one, other)
    pair = [one, other]
    return one.x == other.x && one.grow(1, 0).overlap?(other.grow(1, 0)) if pair.all? { |box| box.w.zero? }

    pair.all? { |box| box.h.zero? } && one.y == other.y && one.grow(0, 1).overlap?(other.grow(0, 1))
  end
end
