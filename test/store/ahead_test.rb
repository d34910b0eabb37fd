# frozen_string_literal: true

require_relative "../support/app_helper"

# What is made ahead comes in order, and fails as it would if it were made when its turn comes.
class AheadTest < Minitest::Test
  def test_all_comes_in_order_and_the_next_is_made_while_one_is_held
    made = Queue.new
    seen = []
    Store::Ahead.each((1..9).each, ->(one) { (made << one) && (one * one) }) do |square|
      next_one = Math.sqrt(square).to_i + 1
      Thread.pass until next_one > 9 || made.length >= next_one
      seen << square
    end
    assert_equal (1..9).map { |one| one * one }, seen
  end

  def test_a_failure_comes_behind_what_was_made_before_it
    seen = []
    told = assert_raises(KeyError) { Store::Ahead.each([1, 2, 3].each, ->(one) { { 1 => "a", 2 => "b" }.fetch(one) }) { |made| seen << made } }
    assert_match "key not found: 3", told.message
    assert_equal %w[a b], seen
    assert_raises(KeyError) { Store::Ahead.each([4].each, ->(one) { {}.fetch(one) }) { flunk } }
  end

  def test_whoever_stops_leaves_nobody_at_work
    before = Thread.list.length
    assert_raises(ArgumentError) { Store::Ahead.each((1..100).each, ->(one) { one }) { |one| raise ArgumentError if one == 3 } }
    Thread.pass until Thread.list.length <= before
    assert_empty(Store::Ahead.each([].each, ->(one) { one }) { flunk }.to_a)
  end
end
