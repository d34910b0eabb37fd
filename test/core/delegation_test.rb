# frozen_string_literal: true

require_relative "../support/core_helper"

# Calls that are handed on.
class DelegationTest < Minitest::Test
  class Asked
    def plain = :plain
    def two(one, other) = [one, other]
    def some(one, other = :other, *more, name: nil) = [one, other, more, name]
    def asked?(one) = one
  end

  class Handing
    extend Basalt::Delegation

    delegate :two, :some, :asked?, to: :@asked, from: Asked
    delegate :plain, to: :asked

    def initialize
      @asked = Asked.new
    end

    attr_reader :asked
  end

  def test_what_is_handed_on_takes_what_it_is_handed_on_to_takes
    one = Handing.new
    assert_equal [:plain, [1, 2], true], [one.plain, one.two(1, 2), one.asked?(true)]
    assert_equal [[1, :other, [], nil], [1, 2, [3], "n"]], [one.some(1), one.some(1, 2, 3, name: "n")]
    assert_raises(ArgumentError) { one.two(1) }
    assert_raises(ArgumentError) { one.plain(1) }
    assert_raises(NameError) { Class.new { extend Basalt::Delegation }.delegate(:nothing, to: :@asked, from: Asked) }
  end

  # Every notation answers through the delegator as it does itself.
  def test_a_notation_is_asked_through_its_delegator_with_the_same_arguments
    handed = Basalt::Drawing::NotationDelegator
    [Basalt::Drawing::Notation, *Basalt::Drawing::Notation::PARTS].each do |part|
      part.public_instance_methods(false).each do |name|
        expected = part.instance_method(name).arity
        assert_includes [expected, -1], handed.instance_method(name).arity, name
      end
    end
  end
end
