# frozen_string_literal: true

require_relative "../support/core_helper"

# What hangs together without passing through the outside can be looked at alone.
class WaysOutTest < Minitest::Test
  include CoreHelper

  WAYS = Network::WaysOut

  def network(seed)
    random = Random.new(seed)
    islands = Array.new(4) do |n|
      names = Array.new(random.rand(2..6)) { |k| "r#{n}-#{k}" }
      links = Array.new(random.rand(1..7)) { "#{names.sample(random:)} to #{names.sample(random:)}" }
      out = Array.new(random.rand(0..2)) { "#{names.sample(random:)} to world" }
      on = [*names.sample(2, random:), "s#{n}"].map { |name| "#{name} on net-#{n}" }
      net = ["subnet net-#{n} 10.#{n}.0.0/24", "server s#{n}", *on]
      names.map { |name| "router #{name}" } + net + links.reject { |link| link.split(" to ").uniq.one? }.uniq + out.uniq
    end
    model(["sheet S: logical network", "internet world", *islands.flatten].join("\n"))
  end

  def test_what_is_joined_is_looked_at_alone_as_with_all_the_rest
    25.times do |seed|
      set = network(seed)
      whole = cut(WAYS.new(set))
      parts = set.of_kind("device").map { |device| WAYS.joined(set, [device.id]) }.uniq
      lines = parts.map { |ids| ids.filter_map { |id| set.element(id) }.select { |one| %w[link attachment].include?(one.kind) } }
      assert_equal whole, lines.map { |some| cut(WAYS.new(set, some)) }.reduce({}, :merge), "seed #{seed}"
    end
  end

  # However an act alters it, only what hangs together with what was touched has other ways out.
  def test_an_act_leaves_alone_what_does_not_hang_together_with_it
    25.times do |seed|
      set = network(seed)
      random = Random.new(seed)
      before = cut(WAYS.new(set))
      gone = set.of_kind("link", "attachment", "device").sample(random:)
      draft = Change::Draft.new(set).apply(Change::Remove.new(id: gone.id))
      touched = Checks::Touched.by(draft.effect)
      after = cut(WAYS.new(draft))
      reached = WAYS.joined(draft, touched.ids)
      beyond = [before, after].map { |ways| ways.reject { |id, _| reached.include?(id) } }
      assert_equal(*beyond, "seed #{seed}: #{gone.kind}")
    end
  end

  def cut(ways) = ways.single.reject { |_, ids| ids.empty? }.transform_values(&:sort)
end
