# frozen_string_literal: true

require_relative "../support/core_helper"

# Keys in order, found by how they begin, are those that looking through all of them finds.
class SortedKeysTest < Minitest::Test
  include CoreHelper

  LETTERS = %w[a B b Ä ä ß 部 1 - z].freeze

  def word(random) = Array.new(random.rand(1..4)) { LETTERS.sample(random:) }.join

  def test_what_begins_so_is_found_however_keys_come_and_go
    20.times do |seed|
      random = Random.new(seed)
      keys = Array.new(random.rand(0..60)) { word(random) }.uniq
      sorted = Model::SortedKeys.new(keys)
      60.times do
        key = word(random)
        keys.include?(key) ? keys.delete(key) && sorted.remove(key) : keys.push(key) && sorted.add(key)
        prefix = word(random).downcase[0, random.rand(0..2)]
        wanted = keys.select { |one| one.downcase.start_with?(prefix) }.sort_by { |one| [one.downcase, one] }
        assert_equal wanted, sorted.beginning(prefix).to_a, "#{seed}: #{prefix}"
      end
    end
  end
end
