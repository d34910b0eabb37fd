# frozen_string_literal: true

require_relative "../support/core_helper"

# A reading is read back as the same model, however like each other, like figures and like words of statements the names are.
class ReadingsTest < Minitest::Test
  include CoreHelper

  WORDS = [
    "Net",
    "net",
    "3",
    "30",
    "on",
    "at",
    "server",
    "10.0.0.4",
    "to",
    "gateway",
    "of",
    "a",
    "room",
    "Net 3",
    "?",
    ".5",
    "fw-1",
    "1/1",
    "assumed",
    "in"
  ].freeze
  SEEDS = Integer(ENV.fetch("SEEDS", 80))

  def words(random) = Array.new(random.rand(1..4)) { WORDS.sample(random:) }.join(" ")

  # Made by changes alone, so that no statement has a say in what the names are.
  def hostile(random)
    draft = Change::Draft.new(Basalt::Model::WorkingSet.new(project: "P"), ids: -> { SecureRandom.uuid })
    sheet = draft.apply(Change::AddSheet.new(name: "S", notation: "logical network")).sheet_list.first.id
    things = Array.new(14) { |n| add(draft, n < 5 ? "subnet" : "device", random, n) }.compact
    things.each { |thing| draft.apply(Change::Show.new(sheet_id: sheet, element_id: thing.id)) }
    nets, hosts = things.partition { |thing| thing.kind == "subnet" }
    hosts.each do |host|
      net = nets.sample(random:) or next
      facts = random.rand(2).zero? ? {} : { "address" => "10.#{nets.index(net)}.0.#{random.rand(2..250)}" }
      draft.apply(Change::Add.new(kind: "attachment", facts:, ends: [["thing", host.id], ["subnet", net.id]]))
    end
    Basalt::Model::WorkingSet.new(project: "P").advance(draft.effect)
  end

  def add(draft, kind, random, index)
    facts = kind == "subnet" ? { "prefix" => "10.#{index}.0.0/24" } : { "role" => %w[server router].sample(random:) }
    Change::Add.new(kind:, name: words(random), facts:).apply(draft)
  rescue Basalt::Mistake
    nil
  end

  def told(set)
    set
      .elements
      .each
      .map do |one|
        [
          one.kind,
          one.name,
          one.facts,
          one.ends.map { |joined| [joined.role, set.element(joined.target_id).name, set.element(joined.target_id).facts] }
        ]
      end
      .sort_by(&:inspect)
  end

  def test_hostile_names_come_back
    SEEDS.times do |seed|
      set = hostile(Random.new(seed))
      text = Statements::Unparser.new(set).project
      back = Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
      Statements::Document.new(text).into(back)
      assert_equal told(set), told(back), "seed #{seed}\n#{text}"
    end
  end

  VERBS = ["does", "does 1", "does 27", "is done 9", "has", "one", "is a kind of", "to", "runs", "7", "or more"].freeze
  MANY = ["exactly one", "one or more", nil].freeze
  NAMES = ["Kind-1", "Kind-22", "Work Order 3", "Work Order 44", "Crew", "one", "many", "A 1"].freeze

  # What one sentence showed of its names holds for others of its shape: all come back as they were.
  def test_relationships_by_any_verb_come_back
    SEEDS.times do |seed|
      random = Random.new(seed)
      draft = Change::Draft.new(Basalt::Model::WorkingSet.new(project: "P"), ids: -> { SecureRandom.uuid })
      kinds = NAMES.sample(5, random:).map { |name| Change::Add.new(kind: "entity", name:).apply(draft) }
      pairs = VERBS.product(kinds.permutation(2).to_a).sample(14, random:)
      pairs.each { |name, ends| relate(draft, name, ends, random) }
      text = Statements::Unparser.new(draft).project
      back = Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
      Statements::Document.new(text).into(back)
      assert_equal told(draft), told(back), "seed #{seed}\n#{text}"
    end
  end

  def relate(draft, name, ends, random)
    joined = %w[one other].zip(ends).map { |role, kind| [role, kind.id, { "cardinality" => MANY.sample(random:) }] }
    Change::Add.new(kind: "relationship", name:, facts: { "back" => [nil, *VERBS].sample(random:) }.compact, ends: joined).apply(draft)
  end
end
