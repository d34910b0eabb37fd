# frozen_string_literal: true

require_relative "../support/core_helper"

# The language that findings about names rest on, measured on labelled names.
class EnglishTest < Minitest::Test
  include CoreHelper

  E = Basalt::English

  def labelled(file)
    File
      .readlines(File.join(__dir__, "../data/#{file}.txt"), chomp: true)
      .to_h { |line| line.split(": ", 2) }
      .transform_values { |names| names.split("; ") }
  end

  # @return [Array(Float, Float)] precision and recall of a finding over names that deserve it and names that do not
  def measured(deserve, others)
    found, wrong = [deserve, others].map { |names| names.select { |name| yield name } }
    [found.length.fdiv(found.length + wrong.length), found.length.fdiv(deserve.length), deserve - found, wrong]
  end

  def report(finding, (precision, recall, missed, wrong))
    if ENV["MEASURE"]
      puts format("%s: precision %.3f, recall %.3f; missed %s; wrong %s", finding, precision, recall, missed.join(", "), wrong.join(", "))
    end
    assert_operator precision, :>=, 0.95, "#{finding}: wrongly found #{wrong.join(", ")}"
    assert_operator recall, :>=, 0.9, "#{finding}: missed #{missed.join(", ")}"
  end

  def test_nouns_as_verbs_on_labelled_names
    names = labelled("relationship_names")
    assert_operator names.values.sum(&:length), :>=, 150
    report("noun-as-verb", measured(names["noun"], names["verb"]) { |name| !E.verb_phrase?(name) })
  end

  def test_plural_names_on_labelled_names
    names = labelled("entity_names")
    assert_operator names.values.sum(&:length), :>=, 150
    report("plural-entity-name", measured(names["many"], names["one"]) { |name| E.plural?(name) })
  end

  # How each sort of phrase is said.
  SAID = {
    "article a" => ->(words) { E.article(words) == "a" ? words : nil },
    "article an" => ->(words) { E.article(words) == "an" ? words : nil },
    "plural" => ->(words) { E.plural(words) },
    "singular" => ->(words) { E.singular(words) },
    "base" => ->(words) { words.sub(/\S+/) { |verb| E.base(verb) } },
    "many" => ->(words) { E::Verbs.many(words) },
    "done" => ->(words) { E::Verbs.done_to(words, "it") },
    "pronoun them" => ->(words) { E::People.pronoun(words) == "them" ? words : nil },
    "pronoun it" => ->(words) { E::People.pronoun(words) == "it" ? words : nil }
  }.freeze

  # Every second phrase was set aside while the rules were written.
  def test_phrases_are_said_as_people_say_them
    phrases = labelled("phrases").flat_map { |sort, list| list.map { |entry| [sort, *entry.split(" => ")] } }
    assert_operator phrases.length, :>=, 400
    phrases.partition.with_index { |_, index| index.odd? }.each do |half|
      wrong = half.reject { |sort, words, wanted| SAID.fetch(sort).call(words) == (wanted || words) }
      puts "#{half.length - wrong.length} of #{half.length}" if ENV["MEASURE"]
      assert_operator (half.length - wrong.length).fdiv(half.length), :>=, 0.98, wrong.map { |one| one.first(2).join(" ") }.join("; ")
    end
  end

  def test_one_and_many_lead_back_to_each_other
    labelled("entity_names")["many"]
      .reject { |name| %w[Indices Matrices Axes Radiuses].include?(name) }
      .each { |name| assert_equal name, E.plural(E.singular(name)) }
  end

  def test_articles_follow_the_sound
    {
      "a" => ["Crew", "unit", "user", "European site", "one-way valve", "utility"],
      "an" => ["Asset", "hour", "Order", "umbrella", "uninstalled part"]
    }.each { |article, words| words.each { |word| assert_equal article, E.article(word), word } }
  end
end
