# frozen_string_literal: true

require_relative "../support/core_helper"

# What is in a site is drawn as the site: which lines join two of them is the same followed through any acts as worked out afresh.
class GatheringTest < Minitest::Test
  include CoreHelper

  Gathering = Basalt::Drawing::Gathering
  ACTS = [
    ->(r) { "r#{r.rand(6)} to r#{r.rand(6)}, circuit #{r.rand(1..9)}0M" },
    ->(r) { "router r#{r.rand(6)} in #{%w[A B C Room].sample(random: r)}" },
    ->(r) { "router p#{r.rand(3)} owned by Northline" },
    ->(r) { "p#{r.rand(3)} to r#{r.rand(6)}, circuit 5M" },
    ->(r) { "remove r#{r.rand(6)}" },
    ->(r) { "site #{%w[A B C].sample(random: r)}" },
    ->(r) { "take #{%w[A B C].sample(random: r)} off" },
    ->(r) { "rename r#{r.rand(6)} to r#{r.rand(6)}" },
    ->(r) { "room Room in #{%w[A B].sample(random: r)}" }
  ].freeze

  def lines(gathering, set)
    set.things_on(@sheet).to_h { |thing| [thing.id, gathering.lines_of(thing.id).sort] }
  end

  def test_lines_followed_through_any_acts_are_those_worked_out_afresh
    taken = 0
    25.times do |seed|
      random = Random.new(seed)
      set = model("project P\nprovider Northline\nsheet S: site map\nsite A\nsite B\nsite C\nprovider Northline\nrouter r0 in A\nrouter " \
                  "r1 in B")
      @sheet = set.sheet_list.first.id
      20.times do
        draft = Basalt::Change::Draft.new(set)
        Basalt::Statements::Document.new("sheet S: site map\n#{ACTS.sample(random:).call(random)}").into(draft)
        assert_equal lines(Gathering.new(draft, @sheet), draft), lines(Gathering.of(draft, @sheet), draft), "seed #{seed}"
        set.advance(draft.effect)
        assert_equal lines(Gathering.new(set, @sheet), set), lines(Gathering.of(set, @sheet), set), "seed #{seed}"
        taken += 1
      rescue Basalt::Mistake, Basalt::Change::Conflict
        next
      end
    end
    assert_operator taken, :>, 200
  end

  def test_what_is_asked_before_something_is_where_it_will_be_is_not_believed_later
    set = model("project P\nsheet S: site map\nsite A\nsite B\nrouter b in B", tidy: true)
    sheet = set.sheet_list.first.id
    draft = Basalt::Change::Draft.new(set)
    early = Basalt::Change::Add.new(kind: "device", name: "early", facts: { "role" => "router" }).apply(draft)
    assert_nil Gathering.of(draft, sheet).stand_in(draft, early.id)
    site = set.named("A").first
    draft.apply(Basalt::Change::Set.new(id: early.id, fact: "container", value: site.id))
    assert_equal site.id, Gathering.of(draft, sheet).stand_in(draft, early.id)
    set.advance(draft.effect)
    assert_equal site.id, Gathering.of(set, sheet).stand_in(set, early.id)
  end

  def test_what_joins_two_sites_is_told_together
    set = model(<<~TEXT, tidy: true)
      project P
      sheet S: site map
      site A
      site B
      router a in A
      room Hall in B
      rack R1 in Hall
      router b in R1
      a to b, circuit 200M
      a to b lan2, circuit 1G
      A to B
    TEXT
    sheet = set.sheet_list.first
    drawn = Basalt::Drawing::AsDrawn.of(set, sheet.id)
    lines = sheet.notation.lines_on(drawn, sheet.id)
    assert_equal([%w[A B]], lines.map { |line| line.targets.map { |id| set.element(id).name } })
    assert_equal(["3 links, 1.2G and more"], lines.flat_map { |line| sheet.notation.labels(drawn, line).map(&:text) })
    assert_equal 3, sheet.notation.lines_on(set, sheet.id).length, "the register has them one by one"
  end
end
