# frozen_string_literal: true

# Graphs to lay out: generated networks of links, one and a half for each thing, and the
# sheets of the sample.
module Graphs
  NAMES = %w[router switch server workstation].freeze

  module_function

  # A tree whose branches fork now and then, and half as many links again between near things.
  def text(size, seed)
    random = Random.new(seed)
    parent = ->(n) { [n - 1 - random.rand([n, 4 + (n / 12)].min), 0].max }
    links = (1...size).map { |n| [parent.call(n), n] }
    links += Array.new(size / 2) { random.rand(size).then { |n| [n, (n + 1 + random.rand(12)) % size] } }
    (["project Bench", "sheet Net: logical network"] + Array.new(size) { |n| "#{NAMES[n % 4]} t#{n}" } +
      links.reject { |a, b| a == b }.map { |a, b| "t#{a} to t#{b}" }).uniq.join("\n")
  end

  def model(text)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: 0.then { |n| -> { (n += 1).to_s } })
    Basalt::Statements::Document.new(text).into(draft)
    Basalt::Model::WorkingSet.new.advance(draft.effect)
  end
end
