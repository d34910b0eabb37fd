# frozen_string_literal: true

# Makes statements of a random but repeatable software structure: classes, use cases and components, some of them oddly named.
class GeneratedSoftware
  CLASSES = [
    "Alarm", "WorkOrder", "Crew", "Sensor", "Part", "Event", "Reading", "is", "Order of work", "Größe", "a, b", "x: y", "1..*"
  ].freeze
  ACTORS = ["Caller", "Operator", "Duty Manager", "Crew phone", "in", "Night: shift"].freeze
  CASES = ["Report a leak", "Sign in", "Send a crew", "Close the job", "Find the street", "Log on, off", "Look up \"it\""].freeze
  PARTS = ["Call desk", "Job board", "Street map", "Alarm list", "takes"].freeze
  TYPES = ["String", "Integer", "Time", "Map<String, List<Reading>>", "Alarm", "T"].freeze
  TIMES = ["1", "0..1", "0..*", "1..*", "2..6"].freeze
  FEATURES = ["id", "raisedAt", "count", "is late", "x y"].freeze

  def initialize(seed)
    @random = Random.new(seed)
    @classes = CLASSES.sample(@random.rand(2..9), random: @random)
    @actors = ACTORS.sample(@random.rand(1..5), random: @random)
    @cases = CASES.sample(@random.rand(1..6), random: @random)
    @parts = PARTS.sample(@random.rand(2..5), random: @random)
  end

  def text = [*classes, *use_cases, *components].join("\n")

  def classes = ["project Generated", "sheet Structure: classes", *packages, *declared, *featured, *lines, *comments]

  def use_cases
    ["sheet Uses: use cases", "system Desk", *@actors.map { |one| "actor #{q(one)}#{maybe(", a person", ", a system", ", a time")}" },
     *@cases.map { |one| "use case #{q(one)}#{use_case}" }, *said(@actors, @cases, ["starts", "takes part in"]),
     *said(@cases, @cases, %w[includes extends]), *kinds(@actors), *kinds(@cases), *steps, *threads]
  end

  def components
    ["sheet Parts: components", "system Desk", *@parts.each_with_index.map { |one, index| "component #{q(one)}#{inner(index)}" },
     "interface Jobs in Desk", "interface Places in Desk", *@parts.first(2).map { |one| "#{q(one)} has the port web" },
     *@parts.flat_map { |one| ["provides Jobs", "requires Jobs", "requires Places"].map { |verb| maybe("#{q(one)} #{verb}") } } - [""],
     "#{q(@parts.first)}.web provides Places", *said(@parts, @parts, ["depends on"])]
  end

  private

  def pick(list) = list.sample(random: @random)
  def maybe(*words) = @random.rand(2).zero? ? "" : pick(words)
  def q(name) = Basalt::Statements::Quoting.quote(name)

  # Each pair once, in one direction.
  def pairs(one, other, most) =
    Array.new(@random.rand(0..most)) { [pick(one), pick(other)] }.reject { |a, b| a == b }.uniq { |pair| pair.sort }

  def said(one, other, verbs) = pairs(one, other, 6).map { |a, b| "#{q(a)} #{pick(verbs)} #{q(b)}" }
  def kinds(names) = pairs(names, names, 2).map { |a, b| "#{q(a)} is a kind of #{q(b)}" }
  def use_case = maybe(" in Desk") + maybe(", priority must") + maybe(", state sketched") + maybe(", goal \"done, and well\"")
  def packages = ["package telemetry", "package work in telemetry"]

  def comments = ["comment Why: it is so, and stays", maybe("Why is about #{q(@classes.first)}")] - [""]

  def declared
    @classes.map do |name|
      sort = pick(["class", "class", "class", "abstract class", "interface", "enumeration", "data type"])
      "#{sort} #{q(name)}#{maybe(" in telemetry", " in work")}#{maybe(", stereotype entity")}#{maybe(", template \"T, K = Integer\"")}"
    end
  end

  def attribute
    "#{pick(["+", "-", "#", "~", ""])}#{maybe("/")}#{pick(FEATURES)}#{maybe(": #{pick(TYPES)}")}#{maybe(" [#{pick(TIMES)}]")}" \
      "#{maybe(" = 0")}#{maybe(" {readOnly}", " {static, readOnly}", " {ordered, subsets all}")}"
  end

  def operation
    parameters = Array.new(@random.rand(0..2)) { |n| "#{maybe("in ", "out ")}p#{n}#{maybe(": #{pick(TYPES)}")}#{maybe(" = 1")}" }
    named = "#{pick(["+", "-", ""])}#{pick(%w[close open run])}(#{parameters.join(", ")})"
    "#{named}#{maybe(": #{pick(TYPES)}")}#{maybe(" {abstract}", " {static}")}"
  end

  def featured
    @classes.flat_map do |name|
      attributes = Array.new(@random.rand(0..4)) { attribute }.uniq { |text| text[/\A\W*([\w ]+)/, 1].strip }
      operations = Array.new(@random.rand(0..3)) { operation }.uniq { |text| text[/\w+\(/] }
      { "has" => attributes, "can" => operations }.reject { |_, list| list.empty? }.map do |verb, list|
        "#{q(name)} #{verb} #{list.join(", ")}"
      end
    end
  end

  def lines
    verbs = ["is linked to", "gathers", "is composed of"]
    joined = pairs(@classes, @classes, 6).map do |a, b|
      "#{q(a)} #{pick(verbs)} #{maybe(pick(TIMES))} #{q(b)}#{maybe(" as \"the role\"", " as job")}#{maybe(", each to 1 as owner")}" \
        "#{maybe(", navigable")}#{maybe(", not navigable back")}#{maybe(", called handles")}#{maybe(", constraint \"a, b\"")}"
    end
    joined + kinds(@classes) + said(@classes, @classes, ["realises", "depends on"])
  end

  def steps
    use_case = q(@cases.first)
    count = @random.rand(0..4)
    main = (1..count).map { |n| "step #{n} of #{use_case}#{maybe(" by Operator")}: does thing #{n}, and more" }
    return [] if count.zero?

    [*main, "branch 1a of #{use_case}#{maybe(" going on at 1")}: it fails", "step 1a1 of #{use_case}: tells somebody"]
  end

  def threads
    told = ["use case #{q(@cases.last)} looks after system Desk", "in Desk nobody deletes #{q(@cases.first)} because it is kept"]
    told.first(@random.rand(0..2))
  end

  def inner(index) = index.zero? || @random.rand(2).zero? ? " in Desk" : " in #{q(@parts.first)}"
end
