# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_entities"

# A line is only tried with the forms whose words it has; it has the same form, and says the same, as when all are tried.
class FormsTest < Minitest::Test
  include CoreHelper

  DEMO = File.expand_path("../../demo/tarnwater.basalt", __dir__)

  def test_forms_are_found_by_the_words_of_a_line_as_if_all_were_looked_at
    context = Statements::Context.new(Change::Draft.new(Model::WorkingSet.new))
    lines = File.readlines(DEMO, chomp: true).reject { |line| Statements::Line.empty?(line) }
    lines.each_slice(7).map(&:first).product(["logical network", "entities", "data flow", nil]) do |line, notation|
      words = Statements::Matcher.new(line, context).then { |matcher| [matcher.token(0).text, matcher.words] }
      all = Statements::Grammar.forms_for(words.first, notation).select { |form| form.possible?(words.last) }
      assert_equal all.map(&:source), Statements::Grammar.possible(*words, notation).map(&:source), line
    end
  end

  def test_what_may_begin_a_run_of_nodes_is_what_its_first_words_are
    Statements::Grammar.forms.each do |form|
      first = Statements::Grammar.first_words(form.nodes)
      (first + %w[in at nothing]).each { |word| assert_equal first.include?(word), Statements::Grammar.begins?(form.nodes, word), form.source }
    end
  end

  def all_forms(text, context)
    matcher = Statements::Matcher.new(text, context)
    Statements::Grammar.forms_for(matcher.token(0)&.text, context.notation_name).each do |form|
      said = matcher.fit(form)
      return [form, said] if said
    end
    [nil, nil]
  end

  def texts
    sample = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))
    [sample, GeneratedNetwork.new(3, subnets: 3, things: 8).text, GeneratedEntities.new(4).text]
  end

  # Words left out, doubled, quoted and put elsewhere.
  def broken(line, random)
    words = line.split
    at = random.rand(words.length)
    case random.rand(4)
    when 0 then words.delete_at(at)
    when 1 then words.insert(at, words.sample(random:))
    when 2 then words[at] = "\"#{words[at]}\""
    else words.shuffle!(random:)
    end
    words.join(" ")
  end

  def test_forms_that_lack_a_word_are_left_out_and_nothing_else
    random = Random.new(5)
    texts.each do |text|
      set = model(text)
      set.sheet_list.first(4).each do |sheet|
        context = Statements::Context.new(Change::Draft.new(set), sheet_id: sheet.id)
        lines = Statements::Unparser.new(set).reading(sheet.id).flatten(1).flat_map(&:last).map(&:strip).reject(&:empty?)
        lines.sample(40, random:).flat_map { |line| [line, broken(line, random)] }.each do |line|
          _, form, said = Statements::Line.read(line, context)
          assert_equal all_forms(line, context), [form, said], line
        rescue Statements::Misread => e
          assert_raises(Statements::Misread, line) { all_forms(line, context) }.then { |same| assert_equal same.message, e.message }
        end
      end
    end
  end
end
