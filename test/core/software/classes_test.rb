# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_software"

# Classes in words, drawn, checked, and restructured.
class ClassesTest < Minitest::Test
  include CoreHelper

  SEEDS = 60
  Refactoring = Basalt::Software::Classes::Refactoring

  def draft(set) = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
  def named(set, name, kind = "class") = set.named(name).find { |one| one.kind == kind }
  def feature(set, owner, name) = set.parts_of(named(set, owner).id).find { |part| part.name == name }
  def classes(*lines) = model(["sheet C: classes", *lines].join("\n"))

  def test_what_is_told_of_a_structure_is_read_back_the_same
    SEEDS.times do |seed|
      set = model(GeneratedSoftware.new(seed).text)
      assert_equal facts(set), facts(model(reading(set))), "seed #{seed}\n#{reading(set)}"
    end
  end

  def test_a_class_says_the_same_typed_in_words_in_a_box_and_in_the_register
    set = classes("class Alarm", "Alarm has +severity: Severity [0..1] = low {readOnly}, count", "Alarm can -log(in text: String): Boolean")
    sheet = set.sheet_list.first
    part = feature(set, "Alarm", "severity")
    assert_equal "+severity: Severity [0..1] = low {readOnly}", Statements::PartLine.new(set, sheet.id, named(set, "Alarm")).of(part)
    one = draft(set)
    Statements::PartLine.new(one, sheet.id, named(set, "Alarm")).put(one, one.element(part.id), "#level: Level")
    now = one.element(part.id)
    assert_equal ["level", "#", "Level", nil], [now.name, *now.facts.values_at("visibility", "type", "default")]
    Statements::PartLine.new(one, sheet.id, named(set, "Alarm")).put(one, one.element(part.id), "level(): Level")
    assert_equal "operation", feature(one, "Alarm", "level").kind, "an attribute that gets parameters is an operation"
    two = draft(set)
    { "type" => "Level", "multiplicity" => "1..*", "modifiers" => "ordered" }.each do |fact, value|
      two.apply(Change::Set.new(id: part.id, fact:, value:))
    end
    assert_equal "+severity: Level [1..*] = low {ordered}", Basalt::Software::Classes::Facts.feature(two.element(part.id)).to_s
    assert_raises(Basalt::Mistake) { two.apply(Change::Set.new(id: part.id, fact: "multiplicity", value: "many")) }
    assert_raises(Basalt::Mistake) { two.apply(Change::Set.new(id: part.id, fact: "type", value: "A = 3")) }
  end

  # The mark stands where somebody has to look.
  def test_a_feature_that_cannot_be_read_is_refused_at_its_letter
    set = classes("class Alarm")
    line = "Alarm has +severity: Severity, -raisedAt: Time [1..0]"
    refused = assert_raises(Statements::Misread) { say(set, "C", line) }
    assert_equal line.index("1..0"), refused.at
    lines = Statements::PartLine.new(set, set.sheet_list.first.id, named(set, "Alarm"))
    assert_equal "name: ".length, lines.wrong("name: ").first
    assert_nil lines.wrong("name: Time")
  end

  def test_the_same_words_mean_what_the_sheet_is_about
    set = model("sheet D: entities\nentity Alarm\nentity Event\nsheet C: classes\nclass Alarm\nclass Event")
    here = say(set, "C", "Alarm is a kind of Event", "Alarm has level", "Alarm is a kind of Fresh")
    assert_equal [2, 0], [here.of_kind("generalisation").length, here.of_kind("specialisation").length]
    assert named(here, "Fresh"), "a sentence about kinds makes what nobody knows"
    assert_equal %w[property], here.of_kind("property", "attribute").map(&:kind)
    there = say(set, "D", "Alarm is a kind of Event", "Alarm has level")
    assert_equal %w[attribute], there.of_kind("property", "attribute").map(&:kind)
    assert_equal 1, there.of_kind("specialisation").length
  end

  RULES = {
    "type-unknown" => [
      ["class A", "A has b: Bee"], ["class A", "A has b: Bee", "class Bee"], ["class A, template \"Bee\"", "A has b: Map<Bee, String>"]
    ],
    "inheritance-cycle" => [
      ["A is a kind of B", "B is a kind of C", "C is a kind of A"], ["A is a kind of B", "C is a kind of B", "C is a kind of A"]
    ],
    "inherited-twice" => [
      ["class A", "class B", "A has n", "B has n", "A is a kind of B"],
      ["class A", "class B", "A has n {redefines n}", "B has n", "A is a kind of B"],
      ["class A", "class B", "A can n()", "B can n()", "A is a kind of B"]
    ],
    "feature-twice" => [["class A", "A can f(a: X), f(b: X), g()"], ["class A", "A can f(a: X), f(a: Y), f(a: X) {static}"]],
    "part-of-two-wholes" => [
      ["class A", "class B", "class P", "A is composed of P", "B is composed of P"],
      ["class A", "class P", "A is composed of P", "A gathers P"]
    ],
    "operation-not-implemented" => [
      ["abstract class A", "A can f() {abstract}", "class B", "B is a kind of A"],
      ["abstract class A", "A can f() {abstract}", "class B", "B is a kind of A", "B can f()"],
      ["abstract class A", "A can f() {abstract}", "abstract class B", "B is a kind of A"]
    ],
    "interface-not-realised" => [["interface I"], ["interface I", "class A", "A realises I"]],
    "private-never-reached" => [["class A", "A has -n"], ["class A", "A has -n", "A can f()"], ["class A", "A has n"]],
    "package-cycle" => [
      ["package P", "package Q", "class A in P", "class B in Q", "A depends on B", "B is a kind of A"],
      ["package P", "package Q", "class A in P", "class B in Q", "A depends on B", "A is a kind of B"]
    ],
    "attribute-and-line-disagree" => [
      ["class A", "class B", "A has b: B [0..1]", "A is linked to 1 B as b"],
      ["class A", "class B", "A has b: B [1]", "A is linked to 1 B as b"]
    ],
    "enumeration-unused" => [["enumeration E: a, b"], ["enumeration E: a, b", "class A", "A can f(e: E)"]],
    "money-in-floating-point" => [["class A", "A has price: Real"], ["class A", "A has price: Decimal, weight: Real"]],
    "code-as-number" => [["class A", "A has postcode: Integer"], ["class A", "A has postcode: String, count: Integer"]],
    "name-breaks-rule" => [["class alarm"], ["class Alarm"], ["class A", "A has +MAX {static}, +itIs", "A can ==(other)"]]
  }.freeze

  def test_each_finding_is_found_and_its_near_misses_are_not
    RULES.each do |rule, (wrong, *right)|
      set = classes(*wrong)
      found = findings(set).select { |one| one.id == rule }
      assert_equal 1, found.length, "#{rule}: #{found.map(&:message)}"
      right.each { |lines| refute_includes ids_of(classes(*lines)), rule, "#{rule}: #{lines}" }
      next unless found.first.repair

      mended = draft(set).apply(found.first.repair.changes)
      refute_includes Checks::Runner.new(mended).findings.map(&:key), found.first.key, rule
    end
  end

  def test_a_part_of_two_wholes_is_an_error_only_where_both_are_needed
    severities = ["", ", each to 0..1"].map do |each|
      set = classes("class A", "class B", "class P", "A is composed of P#{each}", "B is composed of P")
      findings(set).find { |one| one.id == "part-of-two-wholes" }.severity
    end
    assert_equal %i[error hint], severities
  end

  TREE = ["class Base", "class One", "class Two", "One is a kind of Base", "Two is a kind of Base"].freeze

  # Each act and the one that leads back, by what both say of the model.
  def test_going_back_and_forth_leaves_what_was_there
    pulled = model(reading(classes(*TREE, "One has +n: Integer", "Two has +n: Integer")))
    up = draft(pulled).tap { |one| Refactoring::PullUp.new(id: feature(one, "One", "n").id).apply(one) }
    counts = %w[Base One Two].map { |name| up.parts_of(named(up, name).id).length }
    assert_equal [1, 0, 0], counts
    Refactoring::PushDown.new(id: feature(up, "Base", "n").id).apply(up)
    assert_equal facts(pulled), facts(up)

    held = classes("class A", "class B", "A has b: B [0..1]")
    line = draft(held).tap { |one| Refactoring::AsLine.new(id: feature(one, "A", "b").id).apply(one) }
    assert_equal ["b", "0..1"], line.of_kind("association").first.ends.last.facts.values_at("role", "multiplicity")
    Refactoring::AsAttribute.new(id: line.of_kind("association").first.id).apply(line)
    assert_equal facts(held), facts(line)
  end

  ACTS = {
    "enumeration" => ->(set, test) { Refactoring::MakeEnumeration.new(id: test.feature(set, "A", "level").id, values: "low, high") },
    "class" => ->(set, test) { Refactoring::MakeClass.new(id: test.feature(set, "A", "level").id) },
    "accessors" => ->(set, test) { Refactoring::AddAccessors.new(id: test.feature(set, "A", "level").id) },
    "extracted class" => ->(set, test) {
      Refactoring::ExtractClass.new(class_id: test.named(set, "A").id, feature_ids: [test.feature(set, "A", "level").id], name: "Fresh")
    },
    "extracted interface" => ->(set, test) { Refactoring::ExtractInterface.new(class_id: test.named(set, "A").id, name: "Asked") },
    "class between" => ->(set, _) { Refactoring::MakeAssociationClass.new(id: set.of_kind("association").first.id) }
  }.freeze

  def test_every_act_is_one_step_that_is_undone_whole
    features = ["A has level: String = low", "A can +run(n: Integer), -hide()"]
    set = classes("class A", "class B", *features, "A is linked to 0..* B as items, each to 1 as owner")
    ACTS.each do |name, act|
      one = draft(set)
      act.call(one, self).apply(one)
      refute_equal facts(set), facts(one), name
      back = Change::Draft.new(one).apply(one.effect.inverse)
      assert_equal facts(set), facts(back), name
      assert_equal facts(one), facts(model(reading(one))), "#{name} can be told in words"
    end
  end

  def test_what_cannot_be_done_is_refused_in_words
    set = classes("class A", "class B", "A has n: Integer", "enumeration E: a")
    one = draft(set)
    words = { Refactoring::PullUp => "is no kind of another", Refactoring::PushDown => "is a kind of", Refactoring::AsLine => "is no class" }
    words.each do |act, told|
      refused = assert_raises(Basalt::Mistake) { act.new(id: feature(one, "A", "n").id).apply(one) }
      assert_includes refused.message, told
    end
    assert_raises(Basalt::Mistake) { Refactoring::ExtractInterface.new(class_id: named(one, "A").id, name: "I").apply(one) }
  end

  def test_types_follow_the_class_that_they_speak_of
    set = classes("class Alarm", "class Log", "Log has all: List<Alarm> = \"Alarm\", other: Alarms", "Log can add(one: Alarm): Alarm")
    one = draft(set).apply(Change::Set.new(id: named(set, "Alarm").id, fact: "name", value: "Warning"))
    Families.settle(one)
    texts = one.parts_of(named(one, "Log").id).map { |part| Basalt::Software::Classes::Facts.feature(part).to_s }
    assert_equal ["all: List<Warning> = \"Alarm\"", "other: Alarms", "add(one: Warning): Warning"], texts
  end

  def test_kinds_of_one_class_share_their_lines_and_stand_beneath_it
    set = model(["sheet C: classes", *TREE, "class Three", "Three is a kind of Base"].join("\n"), tidy: true)
    sheet = set.sheet_list.first
    routes = set.of_kind("generalisation").map { |line| set.placement(sheet.id, line.id).route["points"] }
    base = set.placement(sheet.id, named(set, "Base").id).box
    assert_equal [[base.cx.round, base.bottom]], routes.map(&:last).uniq
    heights = routes.flat_map { |points| points.each_cons(2).select { |one, other| one[1] == other[1] }.map { |one, _| one[1] } }
    assert_operator heights.uniq.length, :<=, 1, "they run along at one height"
    assert(%w[One Two Three].all? { |name| set.placement(sheet.id, named(set, name).id).box.y > base.bottom })
  end

  def test_a_line_ends_at_the_feature_that_it_is_about
    set = model("sheet C: classes\nclass A\nclass B\nA has one, two, three\nB depends on A.two", tidy: true)
    drawn = Drawing::AsDrawn.of(set, set.sheet_list.first.id)
    line = set.of_kind("dependency").first
    point = set.placement(set.sheet_list.first.id, line.id).route["points"].last
    box = set.placement(set.sheet_list.first.id, named(set, "A").id).box
    row = Basalt::Software::Notation::ClassBox.new(drawn, named(set, "A")).row(feature(set, "A", "two").id)
    assert_equal (box.y + row).round, point[1]
    assert_includes [box.x, box.right], point[0]
  end

  def test_very_many_classes_are_laid_out_as_an_overview
    lines = (1..270).flat_map { |n| ["class C#{n}", ("C#{n} is a kind of C#{n / 3}" if n > 3)] }.compact
    set = model(["sheet C: classes", *lines].join("\n"), tidy: true)
    boxes = set.things_on(set.sheet_list.first.id).map { |one| set.placement(set.sheet_list.first.id, one.id).box }
    index = Layout::Index.new
    assert(boxes.each_with_index.all? { |box, number| index.free?(box).tap { index.add(number, box) } }, "no class stands on another")
  end
end
