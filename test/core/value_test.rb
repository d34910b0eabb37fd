# frozen_string_literal: true

require_relative "../support/core_helper"

# Values, whether their classes take over what they are given or work something out of it.
class ValueTest < Minitest::Test
  Plain = Basalt::Value.of(:name, :size, :tags, size: 1, tags: [])
  Working = Basalt::Value.of(:name, :size, :tags, size: 1) { def initialize(tags: [], **rest) = super(tags: tags.sort, **rest) }

  Named = Basalt::Value.of(:name, :size, size: 2) { self::FIRST = new(name: "first") }

  def test_some_are_made_where_the_class_is
    assert_equal ["first", 2], Named::FIRST.to_a
  end

  def test_what_is_not_said_is_the_default_and_nothing_is_altered
    [Plain, Working].each do |made|
      value = made.new(name: "a")
      assert_equal ["a", 1, []], value.to_a, made
      assert_equal [nil, nil, []], made.new(size: nil).to_a, made
      assert_predicate value, :frozen?
      assert_raises(FrozenError) { value.name = "b" }
      assert_equal value, made.new(name: "a")
      assert_equal value.hash, made.new(name: "a").hash
    end
  end

  def test_a_copy_is_what_would_have_been_made_of_the_altered_values
    random = Random.new(1)
    200.times do
      given = { name: [nil, "a", "b"].sample(random:), size: random.rand(3), tags: Array.new(2) { random.rand(9) } }
      changes = given.keys.sample(random.rand(4), random:).to_h { |member| [member, member == :tags ? [7, 3] : 5] }
      [Plain, Working].each do |made|
        assert_equal made.new(**given, **changes), made.new(**given).with(**changes)
        assert_equal made.new(**given), made.restore(made.new(**given).to_a)
      end
    end
  end

  def test_nothing_that_is_no_member_is_taken
    [Plain, Working].each do |made|
      assert_raises(ArgumentError) { made.new(colour: "red") }
      assert_raises(ArgumentError) { made.new(name: "a").with(colour: "red") }
    end
  end
end
