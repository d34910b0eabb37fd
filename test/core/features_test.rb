# frozen_string_literal: true

require_relative "../support/core_helper"

# Features of classes in UML's textual notation: read, written, read again, and refused at the letter.
class FeaturesTest < Minitest::Test
  Features = Basalt::Software::Features
  SEEDS = 400
  NAMES = ["id", "a, b", "say \"so\"", "x:y", "raisedAt", "is late", "größe", "x_1", "save!", "empty?", "Ünit.no"].freeze
  TYPES = ["Time", "Map<String, List<Reading>>", "app::Alarm", "Array<Integer>", "T", "(a: Integer) -> Boolean"].freeze
  DEFAULTS = ["low", "0", "\"a, b\"", "[1, 2]", "new Date(2026, 1)", "'{'", "x > 3", "{}.a"].freeze
  MODIFIERS = ["readOnly", "unique", "ordered", "static", "redefines id", "subsets items"].freeze

  def read(text) = Features::Notation.read(text)
  def maybe(random, list) = random.rand(2).zero? ? nil : list.sample(random:)

  def times(random)
    maybe(random, [[0, 1], [1, nil], [0, nil], [5, 5], [2, 7]])&.then { |low, high| Features::Multiplicity.new(low:, high:) }
  end

  def words(random) = MODIFIERS.sample(random.rand(0..2), random:)

  def typed(random)
    { name: NAMES.sample(random:), type: maybe(random, TYPES), multiplicity: times(random), default: maybe(random, DEFAULTS - ["{}.a"]),
      modifiers: words(random) }
  end

  def generated(random)
    visibility = maybe(random, Features::Notation::VISIBILITIES)
    return Features::Attribute.new(visibility:, derived: random.rand(3).zero?, **typed(random)) if random.rand(2).zero?

    parameters = Array.new(random.rand(0..3)) { Features::Parameter.new(direction: maybe(random, Features::Notation::DIRECTIONS), **typed(random)) }
    Features::Operation.new(visibility:, parameters:, **typed(random).except(:default))
  end

  def test_whatever_is_written_is_read_back_the_same
    SEEDS.times do |seed|
      feature = generated(Random.new(seed))
      assert_equal feature, read(feature.to_s), "seed #{seed}: #{feature}"
      spaced = feature.to_s.gsub(/(?<=[:=])\s/, "  ").then { |text| "  #{text}  " }
      assert_equal feature, read(spaced), "seed #{seed}: #{spaced}"
    end
  end

  def test_what_the_notation_has_is_understood
    one = read("+/age : Integer [0..1] = 0 {readOnly, unique}")
    assert_equal ["+", true, "age", "Integer", "0..1", "0", %w[readOnly unique]],
                 [one.visibility, one.derived, one.name, one.type, one.multiplicity.to_s, one.default, one.modifiers]
    two = read("- schedule(in at: Time, inout crew: Crew[1..*] = none): Boolean {abstract}")
    assert_equal [%w[in inout], %w[Time Crew]], [two.parameters.map(&:direction), two.parameters.map(&:type)]
    crew = two.parameters[1]
    assert_equal ["1..*", "none", "Boolean", true], [crew.multiplicity.to_s, crew.default, two.type, two.abstract?]
    assert_equal %w[in out], read("f(in, out)").parameters.map(&:name), "words that could be directions are names where nothing follows"
    assert_equal "<=>", read("<=>(other)").name
    assert_equal ["*rest", "&block"], read("each(*rest, &block)").parameters.map(&:name)
  end

  # The mark stands where somebody has to look.
  def test_what_cannot_be_read_is_refused_at_the_letter
    {
      "" => [0, "a name"],
      "+" => [1, "a name"],
      "+ : Time" => [2, "a name"],
      "name:" => [5, "a type"],
      "name: Time [1..0]" => [12, "a multiplicity"],
      "name: Time [1" => [13, "“]”"],
      "name: Map<String" => [16, "“>”"],
      "name = " => [7, "a value"],
      "name {" => [6, "“}”"],
      "name {}" => [6, "words"],
      "f(" => [2, "a name of a parameter"],
      "f(a" => [3, "a comma"],
      "f(a,)" => [4, "a name of a parameter"],
      "f(a: )" => [5, "a type"],
      "f() x" => [4, "nothing more"],
      "name)" => [4, "nothing more"],
      "a: B)" => [4, "a type"]
    }.each do |text, (at, expected)|
      refused = assert_raises(Features::Unreadable, text) { read(text) }
      assert_equal [at, true], [refused.at, refused.expected.start_with?(expected)], "#{text}: #{refused.message}"
    end
    assert_raises(Features::Unreadable) { read("x" * 5000) }
  end

  def test_operations_are_the_same_by_name_and_by_the_types_of_what_they_take
    same = ["f(a: Map<X, Y>)", "f(b: Map<X,Y>): Integer", "+f(in c: Map<X, Y>, out d: Z)"].map { |text| read(text).signature }
    assert_equal 1, same.uniq.length
    refute_equal read("f(a: X)").signature, read("f(a: Y)").signature
  end
end
