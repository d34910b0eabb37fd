# frozen_string_literal: true

# What grows faster than it should: files of shapes in which one thing has very much of everything (stars, chains, trees, names said
# again and again), each with two numbers of lines, and how many times as long every step takes for twice as many. About two is even
# growth; levels grow with a power of 1.5, since a line that passes levels has a place in each.
class ShapesBench
  LINES = [2_000, 4_000].freeze
  STEPS = %w[read check tell arrange draw].freeze

  TREE = ->(n, &say) { (1...n).map { |i| say.call(i, (i - 1) / 3) } }
  STAR = ->(n, &say) { (1...n).map { |i| say.call(i, 0) } }
  CHAIN = ->(n, &say) { (1...n).map { |i| say.call(i, i - 1) } }

  # Each a sheet, the sentence that declares one, the shape, and the sentence that joins two.
  JOINED = {
    "tree of entities" => ["entities", "entity Kind-%d", TREE, "a Kind-%d needs exactly one Kind-%d"],
    "star of entities" => ["entities", "entity Kind-%d", STAR, "a Kind-%d needs exactly one Kind-%d"],
    "chain of entities" => ["entities", "entity Kind-%d", CHAIN, "a Kind-%d needs exactly one Kind-%d"],
    "names of two words" => ["entities", "entity Work Order %d", TREE, "a Work Order %d is part of exactly one Work Order %d"],
    "star of units" => ["physical network", "switch unit-%d", STAR, "unit-%d to unit-%d"],
    "chain of units" => ["physical network", "switch unit-%d", CHAIN, "unit-%d to unit-%d"],
    "tree of units" => ["physical network", "switch unit-%d", TREE, "unit-%d to unit-%d"],
    "tree of processes" => ["data flow", "process \"Do %d\"", TREE, "\"Do %d\" gives form to \"Do %d\""],
    "star of classes" => ["classes", "class Kind%d", STAR, "Kind%d is linked to 1 Kind%d"],
    "kinds of classes" => ["classes", "class Kind%d", TREE, "Kind%d is a kind of Kind%d"],
    "tree of components" => ["components", "component Part%d", TREE, "Part%d depends on Part%d"],
    "calls within calls" => ["sequence", "participant p%d", CHAIN, "p%2$d asks p%1$d: again"]
  }.freeze

  # Others: by the number of lines.
  OTHERS = {
    "star of tables" => ->(n) {
      ["sheet S: tables", *numbered(n / 3, "table t%d"), *numbered(n / 3, "t%d has id integer key, other integer"),
       *numbered(n / 3, "t%d refers to t0 by other").drop(1)]
    },
    "one entity" => ->(n) { ["sheet S: entities", "entity Kind", *numbered(n / 4, "Kind has fact%d")] },
    "one subnet" => ->(n) {
      ["sheet S: logical network", "subnet Office 10.0.0.0/8", *numbered(n / 2, "server h%d"), *numbered(n / 2, "h%d on Office")]
    },
    "groups" => ->(n) {
      ["sheet S: physical network", *numbered(n / 40, "group G%d"), *numbered(n / 2, "server h%d"),
       *Array.new(n / 2) { |i| "h#{i} belongs to G#{i % (n / 40)}" }]
    },
    "activities" => ->(n) {
      ["sheet S: activities", *numbered(9, "outsider Clerk%d, a person"), *Array.new(n) { |i| "Clerk#{i % 9} does thing #{i}" }]
    },
    "requirements" => ->(n) { ["sheet S: requirements", *numbered(n, "requirement R%d: \"The desk shall show %<one>d\"")] }
  }.freeze

  def self.numbered(count, pattern) = Array.new(count) { |i| pattern.gsub(/%(<one>)?d/, i.to_s) }

  def initialize(&report)
    @report = report
  end

  def run
    shapes.each do |name, lines|
      taken = LINES.map { |count| taken(lines.call(count)) }
      STEPS.each { |step| @report.call("#{name}: #{step}", LINES.last, taken.last[step]) }
      worst = STEPS.select { |step| taken.last[step] > 300 }.max_by { |step| taken.last[step] / taken.first[step] }
      puts format("%-34s %s", "", "#{worst}: %.1f times for twice as many" % (taken.last[worst] / taken.first[worst])) if worst
    end
  end

  private

  def shapes
    JOINED.transform_values { |sheet, one, shape, two|
      ->(count) { ["sheet S: #{sheet}", *self.class.numbered(count / 2, one), *shape.call(count / 2) { |i, j| format(two, i, j) }] }
    }.merge(OTHERS)
  end

  # @return [Hash{String => Float}] ms of processor time by step
  def taken(lines)
    found = {}
    draft = timed(found, "read") { Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new).tap { |one| Basalt::Statements::Document.new(lines.join("\n")).into(one) } }
    set = Basalt::Model::WorkingSet.new.advance(draft.effect)
    timed(found, "check") { Basalt::Checks::Runner.new(set).findings }
    timed(found, "tell") { Basalt::Statements::Unparser.new(set).project }
    drawn = Basalt::Change::Draft.new(set)
    sheet = set.sheet_list.first.id
    timed(found, "arrange") { Basalt::Drawing::Arranger.new(drawn, sheet).tidy }
    timed(found, "draw") { Drawings::Export.svg(drawn, sheet) }
    found
  end

  def timed(found, step)
    began = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
    yield.tap { found[step] = (Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - began) * 1000 }
  end
end
