# frozen_string_literal: true

require_relative "../support/core_helper"

# Long chains, such as generated ones, are worked through however deep they go. A fiber has a fraction of a thread's
# stack, so that what takes a bit of it for each step runs out of it early.
class ChainsTest < Minitest::Test
  include CoreHelper

  LONG = 900
  FIRST = {
    "logical network" => "site P0",
    "data flow" => "process P0",
    "entities" => "entity P0\nP0 has code key",
    "components" => "component P0"
  }.freeze
  NEXT = {
    "logical network" => ->(number) { "room P#{number} in P#{number - 1}" },
    "data flow" => ->(number) { "process P#{number} in P#{number - 1}" },
    "entities" => ->(number) { "P#{number} is a kind of P#{number - 1}" },
    "components" => ->(number) { "component P#{number} in P#{number - 1}" }
  }.freeze

  def chain(notation, *others) =
    ["sheet S: #{notation}", FIRST.fetch(notation), *(1...LONG).map(&NEXT.fetch(notation)), *others].join("\n")

  def with_little_stack(&) = Fiber.new(&).resume

  FIRST.each_key do |notation|
    define_method(:"test_a_long_chain_of_#{notation.tr(" ", "_")}_is_checked_read_drawn_and_taken_back") do
      with_little_stack do
        set = model(chain(notation), tidy: true)
        sheet = set.sheet_list.first
        findings(set)
        assert_equal set.elements.size, model(reading(set)).elements.size
        assert_equal(LONG, Basalt::Drawing::Scene.new(set, sheet.id).items.filter_map(&:element_id).uniq.count { |id|
          set.element(id).name&.match?(/\AP\d+\z/)
        })
        assert_equal LONG - 1, set.contents_within(set.named("P0").first.id).length unless notation == "entities"
      end
    end
  end

  def test_a_long_chain_of_kinds_is_mapped_in_each_of_the_ways
    together = Array.new(LONG) { |number| "entity P#{number}, kinds kept together" }
    with_little_stack do
      own = Basalt::Data::Logical::Mapping.new(model(chain("entities"))).tables
      assert_equal LONG, own.length
      assert_operator own.map { |table| table.columns.first.thread.length }.max, :<, 100
      one = Basalt::Data::Logical::Mapping.new(model(chain("entities", *together))).tables
      assert_equal 1, one.length
    end
  end
end
