# frozen_string_literal: true

require_relative "../../support/core_helper"

# What determines what, and what follows for the forms of a table.
class NormalFormsTest < Minitest::Test
  include CoreHelper

  N = Data::Logical::NormalForms

  # @param said [String] such as "a b > c; c > d"
  def forms(columns, said)
    dependencies = said.split(";").map { |one| one.split(">").map { |side| side.split.to_set } }
    N.new(columns.split, dependencies.map { |left, right| N::Dependency.new(left:, right:) })
  end

  # Exercises as textbooks have them, with their keys and the highest form.
  ANSWERS = [
    ["a b c d", "a > b c d", ["a"], "Boyce-Codd"],
    ["a b c d", "a b > c d; a > c", ["a b"], "first"],
    ["a b c", "a > b; b > c", ["a"], "second"],
    ["a b c", "a b > c; c > b", ["a b", "a c"], "third"],
    ["a b c d e", "a > b c; c d > e; b > d; e > a", ["a", "e", "c d", "b c"], "third"],
    ["a b c d", "a > b; b > c; c > d; d > a", %w[a b c d], "Boyce-Codd"],
    ["a b c d", "", ["a b c d"], "Boyce-Codd"],
    ["student course grade teacher", "student course > grade; course > teacher", ["course student"], "first"],
    ["order part price supplier", "order part > price supplier; supplier > price", ["order part"], "second"],
    ["street town code", "street town > code; code > town", ["street town", "code street"], "third"],
    ["a b c d e f", "a b > c; c > d; d > e f; f > b", ["a b", "a c", "a d", "a f"], "first"],
    ["a b c d e", "a b > c; d > e", ["a b d"], "first"],
    ["crew depot manager", "crew > depot; depot > manager", ["crew"], "second"],
    ["a b", "a > b; b > a", %w[a b], "Boyce-Codd"],
    ["a b c d", "a b > c d; c > a; d > b", ["a b", "a d", "b c", "c d"], "third"]
  ].freeze

  def test_keys_and_forms_of_textbook_relations
    ANSWERS.each do |columns, said, keys, highest|
      found = forms(columns, said)
      assert_equal keys.map { |key| key.split.sort }.sort, found.keys.map { |key| key.to_a.sort }.sort, said
      assert_equal highest, found.highest, said
    end
  end

  # What is split has third normal form, holds every column, keeps every dependency, and joins to what it was.
  def test_synthesis_is_lossless_and_keeps_dependencies
    250.times do |seed|
      random = Random.new(seed)
      columns = %w[a b c d e f].first(random.rand(2..6))
      said = Array.new(random.rand(0..5)) {
        columns.sample(random.rand(1..2), random:).join(" ") + " > " + columns.sample(random.rand(1..2), random:).join(" ")
      }
      found = forms(columns.join(" "), said.join(";"))
      parts = found.synthesis
      assert_equal columns.to_set, parts.map(&:columns).reduce(:|), said
      assert(parts.any? { |one| found.closure(one.columns) == columns.to_set }, "lossless: #{said}")
      kept = found.minimal.select { |one| parts.any? { |part| (one.left | one.right).subset?(part.columns) } }
      assert_equal found.minimal, kept, said
      parts.each { |part| assert_includes %w[third Boyce-Codd], of(part, found).highest, "#{said}: #{part}" }
    end
  end

  # The dependencies of a part are all that hold among its columns.
  def of(part, whole)
    names = part.columns.to_a
    sides = (1..names.length).flat_map { |size| names.combination(size).to_a }
    N.new(names, sides.map { |left| N::Dependency.new(left: left.to_set, right: whole.closure(left) & part.columns) })
  end

  CREWS = <<~TEXT
    sheet S: tables
    table crews
    crews has crew_id integer key required, name text, depot_id integer, depot_name text, manager text
    in crews depot_id determines depot_name, manager
  TEXT

  def test_said_in_words_found_and_split_in_one_act
    draft = Change::Draft.new(Model::WorkingSet.new)
    Statements::Document.new(CREWS).into(draft)
    assert_includes Statements::Unparser.new(draft).project, "in crews depot_id determines depot_name, manager\n"
    finding = Checks::Runner.new(draft).findings.find { |one| one.id == "breaks-normal-form" }
    assert_match "crews is in second normal form alone: depot_id determines", finding.message
    finding.repair.changes.each { |change| change.apply(draft) }
    told = Statements::Unparser.new(draft).project
    assert_includes told, "crews has crew_id integer key required, name text, depot_id integer\n"
    assert_includes told, "depots has depot_id integer key required, depot_name text required, manager text required\n"
    assert_includes told, "crews refers to depots by depot_id\n"
    refute_includes Checks::Runner.new(draft).findings.map(&:id), "breaks-normal-form"
    assert_raises(Statements::Misread) { Statements::Document.new("#{CREWS}in crews wombat determines manager").into(Change::Draft.new(Model::WorkingSet.new)) }
  end

  ROWS = "crew,depot,manager,day\n1,North,Ida,Mon\n2,North,Ida,Mon\n3,South,Olaf,Tue\n4,South,Olaf,Mon\n"

  def test_rows_suggest_and_refute
    observed = Data::Logical::Observed.read(ROWS)
    assert_equal ["depot determines manager", "manager determines depot"], observed.holding.first(2).map(&:to_s)
    wrong = N::Dependency.new(left: Set["depot"], right: Set["day"])
    assert_equal [{ "depot" => "South", "day" => "Tue" }, { "depot" => "South", "day" => "Mon" }],
                 observed.refute(wrong).to_h.values_at(:one, :other)
    assert_nil observed.refute(N::Dependency.new(left: Set["depot"], right: Set["manager"]))
    gaps = Data::Logical::Observed.new(%w[depot manager], [%w[North Ida], ["North", nil], [nil, "Olaf"], %w[North Ida]])
    assert_equal ["depot determines manager", "manager determines depot"], gaps.holding.map(&:to_s), "gaps say nothing"
    ["", "a,b", "a,b\n\"x"].each { |text| assert_raises(Mistake, text) { Data::Logical::Observed.read(text) } }
  end

  # Whatever is said to hold does, and whatever is not refuted does too.
  def test_what_holds_is_what_no_two_rows_refute
    100.times do |seed|
      random = Random.new(seed)
      observed = Data::Logical::Observed.new(%w[a b c d], Array.new(random.rand(2..8)) { Array.new(4) { [0, 1, 2, nil].sample(random:) } })
      observed.holding.each { |one| assert_nil observed.refute(one), "#{seed}: #{one}" }
    end
  end
end
