# frozen_string_literal: true

# Makes statements of a random but repeatable interaction, nested and oddly named.
class GeneratedInteraction
  NAMES = ["Operator", "console", "pager", "job store", "asks", "nobody", "a, b", "x: y", "itself of it", "either when", "end", "Größe",
           "note at"].freeze
  TEXTS = ["acknowledge(alarm)", "a, b: c", "when it is late", "end", "\"quoted\"", "page(engineer, 3)", "with the note : x", "#1"].freeze
  GUARDS = ["severity is high", "otherwise", "a, b", "x: y", "nobody answers for 15 minutes", "3 times while"].freeze
  VERBS = %w[asks tells answers].freeze

  # @param most [Integer] of lines in a run
  # @param plain [Boolean] whether messages are calls and answers among known participants alone, without fragments in doubt
  def initialize(seed, most: 5, depth: 3, participants: 4)
    @random = Random.new(seed)
    @most = most
    @depth = depth
    @names = NAMES.sample(@random.rand(2..participants), random: @random)
  end

  def text
    ["project Generated", "sheet Talk: sequence", *@names.map { |name|
      "participant #{q(name)}#{maybe(" of Console", ", an actor", ", a system")}"
    }, *run(0)].join("\n")
  end

  private

  def pick(list) = list.sample(random: @random)
  def maybe(*words) = @random.rand(2).zero? ? "" : pick(words)
  def q(name) = Basalt::Statements::Quoting.quote(name)
  def name = q(pick(@names))
  def guard(word) = maybe(" #{word} #{pick(GUARDS)}")

  def run(depth)
    indent = "  " * depth
    Array.new(@random.rand(1..@most)) { item(depth) }.flatten.map { |line| "#{indent}#{line}" }
  end

  def item(depth)
    case @random.rand(depth < @depth ? 12 : 8)
    when 0 then ["#{name} itself: #{pick(TEXTS)}"]
    when 1 then [pick(["#{name} tells nobody: #{pick(TEXTS)}", "#{name} is told: #{pick(TEXTS)}", "#{name} is asked"])]
    when 2 then [pick(["note at #{name}: #{pick(TEXTS)}", "time at #{name}: 15 minutes pass", "refer to #{pick(TEXTS)}"])]
    when 3..7 then ["#{name} #{pick(VERBS)} #{name}#{maybe(": #{pick(TEXTS)}", ": #{pick(TEXTS)}")}", *about]
    when 8 then ["optionally#{guard("when")}", *run(depth + 1), "end"]
    when 9 then ["repeat#{maybe(" 3 times", " 0 to 2 times", " 1 to many times")}#{guard("while")}", *run(depth + 1), "end"]
    when 10 then ["together", *run(depth + 1), "also", *run(depth + 1), "end"]
    else ["either#{guard("when")}", *run(depth + 1), "or#{guard("when")}", *maybe_run(depth + 1), "end"]
    end
  end

  def maybe_run(depth) = @random.rand(4).zero? ? [] : run(depth)
  def about = [maybe("with the note: it is so, and stays"), maybe("that is assumed")].reject(&:empty?).first(@random.rand(2))
end
