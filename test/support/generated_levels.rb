# frozen_string_literal: true

# Makes a random but repeatable tree of processes with flows that pass all levels.
class GeneratedLevels
  attr_reader :draft, :random

  def initialize(seed)
    @random = Random.new(seed)
    number = 0
    @draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { (number += 1).to_s })
    grow
    flow
  end

  def processes = draft.of_kind("process")
  def leaves = processes.select { |one| Basalt::Process::Levels.children(draft, one.id).empty? }

  private

  def add(kind, name, **rest) = Basalt::Change::Add.new(kind:, name:, **rest).apply(draft)

  def grow
    top = add("process", "Top")
    all = [top]
    random
      .rand(3..14)
      .times do |n|
        all << add(
          "process",
          "Do #{n}",
          container_id: all.select { |one| Basalt::Process::Levels.chain(draft, one.id).length < 4 }.sample(random:).id
        )
      end
    @ends =
      Array.new(random.rand(1..3)) { |n| add("party", "Out #{n}", facts: { "standing" => "outsider" }) } +
      Array.new(random.rand(0..2)) { |n| add("store", "Store #{n}") }
  end

  # Between leaves and what is outside, and on every level that it passes.
  def flow
    pairs =
      Array
        .new(random.rand(2..16)) { |n| [*[leaves.sample(random:), (leaves + @ends).sample(random:)].shuffle(random:).map(&:id), "f#{n}"] }
        .reject { |from, to, _| from == to }
    lifting = Basalt::Process::FlowPropagation.new(draft)
    pairs.flat_map { |pair| lifting.levels(pair) }.uniq.each { |from, to, name| add("flow", name, ends: [["from", from], ["to", to]]) }
  end
end
