# frozen_string_literal: true

# A journey made by chance: steps with sub-steps, branches, conditions and places to go on at, and a walker of its own that goes every way
# through it, one step after the other.
class GeneratedJourney
  Step = Struct.new(:name, :number, :condition, :enters, :inside, :moves, :steps, :branches, :onwards, keyword_init: true)
  Branch = Struct.new(:number, :steps, :onwards)
  STATES = %w[one two three].freeze
  NAME = "Walk about"

  def initialize(seed, most: 3)
    @random = Random.new(seed)
    @most = most
    @left = 7
    @steps = run("", 2)
    targets = @steps.map(&:number)
    all.each { |step| step.onwards = pick(targets) if chance(0.12) }
    branches.each { |branch| branch.onwards = pick(targets) if chance(0.5) }
  end

  attr_reader :steps

  def all(list = @steps) = list.flat_map { |step| [step, *all(step.steps), *step.branches.flat_map { |branch| all(branch.steps) }] }
  def branches = all.flat_map(&:branches)

  # @return [String] statements
  def text
    ["sheet Ground: context", "process Thing", "outsider Somebody", "journey #{NAME}, by Somebody", *lines(@steps), *going_on,
     "Thing goes through #{STATES.join(", ")}"].join("\n")
  end

  # Every way through it, so many steps long at most.
  #
  # @yieldparam way [Array<Step>]
  # @yieldparam ended [Boolean] whether it came to the end
  def walks(longest)
    waiting = [[[], first(@steps, -> { [nil] })]]
    while (way, ahead = waiting.pop)
      ahead.each do |step, behind|
        next yield(way, true) if step.nil?
        next yield(way, false) if way.length >= longest

        waiting << [way + [step], onwards(step, behind)]
      end
    end
  end

  private

  def pick(list) = list.sample(random: @random)
  def chance(share) = @random.rand < share

  def run(prefix, depth)
    Array.new(@random.rand(1..@most)) { |index| step("#{prefix}#{index + 1}", depth) }
  end

  def step(number, depth)
    @left -= 1
    steps = depth.positive? && @left.positive? && chance(0.25) ? run("#{number}.", depth - 1) : []
    branches = depth.positive? && @left.positive? && chance(0.35) ? [branch("#{number}a", depth - 1)] : []
    said = { condition: chance(0.2), enters: chance(0.15), inside: chance(0.25), moves: }
    Step.new(name: "do #{number.tr(".", "-")}", number:, steps:, branches:, **said)
  end

  def branch(number, depth) = Branch.new(number, chance(0.3) ? [] : run(number, depth), nil)
  def moves = chance(0.3) ? [pick([nil, *STATES]), pick(STATES)] : nil

  def lines(list) = list.flat_map { |step| [line(step), *lines(step.steps), *step.branches.flat_map { |one| branch_lines(one) }] }
  def branch_lines(branch) = [turn(branch), *lines(branch.steps)]
  def turn(branch) = "branch #{branch.number} of #{NAME}: it is otherwise"

  def line(step)
    said = ["step #{step.number} of #{NAME}: Somebody to Thing: #{step.name}"]
    said << "when asked" if step.condition
    said << "signs in" if step.enters
    said << "only signed in" if step.inside
    said << "moves Thing#{" from #{step.moves.first}" if step.moves.first} to #{step.moves.last}" if step.moves
    said.join(", ")
  end

  def going_on = (all + branches).select(&:onwards).map { |one| "after #{one.number} of #{NAME} comes #{one.onwards}" }

  # What may come first of a list: pairs of a step and of what comes behind it; a step under a condition may be left out.
  def first(list, behind, seen = [])
    return behind.call.map { |step| step.is_a?(Array) ? step : [step, nil] } if list.empty?

    step, *rest = list
    return [] if seen.include?(step.number)

    later = -> { leave(step, rest, behind, seen + [step.number]) }
    [[step, later], *(step.condition ? later.call : [])]
  end

  def leave(step, rest, behind, seen)
    return go(step.onwards, seen) if step.onwards

    first(rest, behind, seen)
  end

  def go(number, seen)
    at = @steps.index { |step| step.number == number }
    first(@steps.drop(at), -> { [nil] }, seen)
  end

  # Behind a step: its sub-steps and then what follows, or a branch.
  def onwards(step, later)
    fresh = -> { following(step, later) }
    main = step.steps.any? ? first(step.steps, fresh) : fresh.call
    main + step.branches.flat_map { |branch| turned(branch) }
  end

  # What was left out on the way there may be met again.
  def following(step, later)
    return go(step.onwards, []) if step.onwards

    later.call
  end

  def turned(branch)
    ending = -> { branch.onwards ? go(branch.onwards, []) : [[nil, nil]] }
    branch.steps.empty? ? ending.call : first(branch.steps, ending)
  end
end
