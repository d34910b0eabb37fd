# frozen_string_literal: true

# Makes statements of a random but repeatable conceptual model.
class GeneratedEntities
  CARDINALITIES = ["exactly one", "zero or one", "one or more", "zero or more", "many", "2 to 7", nil].freeze
  WORDS = %w[key required many].freeze
  NAMES = %w[
    Crew
    Work\ Order
    Asset
    Site
    Part
    Skill
    Shift
    Reading
    Alarm
    Visit
    Valve
    Main
    Sensor
    Report
    Street
    Order
    User
    Group
    Table
    Café
    部品
  ].freeze

  def initialize(seed)
    @random = Random.new(seed)
    @names = NAMES.sample(@random.rand(2..12), random: @random)
  end

  def text =
    (["project Generated", "sheet Model: entities"] + house + entities + attributes + relationships + meetings + kinds + weak).join("\n")

  private

  def house = @random.rand(2).zero? ? [] : ["convention House, minimums \"by trigger\", derived generated"]
  def pick(from = @names) = from.sample(random: @random)
  def q(name) = Basalt::Statements::Quoting.quote(name)
  def entities = @names.map { |name| "entity #{q(name)}" }

  def attributes
    @names.flat_map do |name|
      listed =
        Array.new(@random.rand(0..5)) do |n|
          "\"a#{n} #{pick(%w[code on price count note at])}\" " \
          "#{pick(WORDS + ["", "", "derived", "kept over time", "(x, y required) required"])}".then do |one|
            one.sub(/(\S+") (\(.*\)) (.*)/, '\1 \2 \3')
          end
        end
      listed.empty? ? [] : ["#{q(name)} has #{listed.join(", ").gsub(/ +,/, ",").strip}"]
    end
  end

  def relationships
    Array
      .new(@random.rand(1..(@names.length * 2))) do |n|
        one, other = pick, pick
        there, back = Array.new(2) { CARDINALITIES.sample(random: @random) }
        "a #{q(one)} \"does #{n}\" #{there} #{q(other)}; a #{q(other)} \"is done #{n}\" #{back} #{q(one)}" \
        "#{", kept over time" if @random.rand(6).zero?}".squeeze(
          " "
        )
      end
      .then do |lines|
        lines + lines.each_index.select { @random.rand(3).zero? }.map { |n| "\"does #{n}\" has since required, \"why so\"" }
      end
  end

  def meetings
    return [] if @names.length < 3 || @random.rand(2).zero?

    three = @names.sample(3, random: @random)
    [
      "#{three.map { |name| "a #{q(name)}" }.join(", ").sub(/, ([^,]*)\z/, ' and \1')} meet in Meet",
      "in Meet the others meet exactly one #{q(three.first)}",
      "Meet has met on key"
    ]
  end

  def kinds
    return [] if @random.rand(2).zero?

    general = @names.first
    ["#{q(general)} is #{pick(["either", "any of"])} \"#{general} one\" or \"#{general} two\"#{", complete" if @random.rand(2).zero?}"] +
      ["entity #{q(general)}#{["", ", kinds kept together", ", kinds kept apart"].sample(random: @random)}"] +
      ["\"#{general} one\" has \"own code\" required"]
  end

  def weak
    return [] if @names.length < 2 || @random.rand(3).zero?

    ["weak entity Part-of of #{q(@names.last)}", "Part-of has number partial key, size"]
  end
end
