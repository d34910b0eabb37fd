# frozen_string_literal: true

require_relative "../support/core_helper"

# What a person is told of a statement that cannot be taken, and what is offered while it is typed.
class RefusalsTest < Minitest::Test
  include CoreHelper

  S = Basalt::Statements
  SAMPLE = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))

  def setup
    @set = model(SAMPLE)
  end

  def context(sheet) = S::Context.new(Change::Draft.new(@set), sheet_id: sheet.id)

  # @return [Array<Array(Model::Sheet, String)>] sentences of all sheets
  def sentences
    unparser = S::Unparser.new(@set)
    @set.sheet_list.flat_map { |sheet| unparser.sheet(sheet.id).map { |line| [sheet, line] } }
  end

  def misread(line, sheet)
    S::Line.take(line, S::Context.new(Change::Draft.new(@set), sheet_id: sheet.id))
    nil
  rescue S::Misread => e
    e
  rescue Mistake
    nil
  end

  def swapped(word, random) =
    random.rand(word.length - 1).then { |at| word.dup.tap { |copy| copy[at], copy[at + 1] = copy[at + 1], copy[at] } }

  def test_a_mistyped_sentence_is_refused_with_its_word_and_a_way_on
    random = Random.new(11)
    refused =
      sentences
        .sample(220, random:)
        .filter_map do |sheet, line|
          words = line.split
          at = random.rand(words.length)
          next unless words[at].match?(/\A[A-Za-z]{4,}\z/)

          words[at] = swapped(words[at], random)
          misread(words.join(" "), sheet)&.then { |error| [sheet, words.join(" "), error] }
        end
    assert_operator refused.length, :>, 40
    refused.each { |sheet, line, error| assert_helpful(sheet, line, error) }
  end

  def assert_helpful(sheet, line, error)
    first = error.message.lines.first
    assert_match(/“[^”]+”|stops too early|characters|quote is not closed/, first, line)
    assert_includes line.downcase, error.word.downcase, line if error.word
    told = first[/there could stand ([^;]*)/, 1].to_s
    assert_operator told.split(/, (?=[^“”]*(?:“|\z))| or /).length, :<=, S::Misread::MOST_WORDS + 2, first
    assert S::Line.right?(error.example, context(sheet)), "#{error.example} is no right sentence (of #{line})" if error.example
  end

  def test_two_letters_exchanged_in_a_kind_of_thing_are_understood
    sheet = @set.sheet_list.find { |one| one.notation_name == "logical network" }
    random = Random.new(2)
    nouns = sheet.notation.chips.map(&:first).select { |noun| noun.match?(/\A[a-z]{5,}\z/) }
    assert_operator nouns.length, :>, 8
    nouns.each do |noun|
      wrong = swapped(noun, random)
      next if wrong == noun || S::Grammar.heads.include?(wrong)

      error = misread("#{wrong} fresh-#{noun}", sheet)
      assert_includes error.message, "did you mean “#{noun}”", wrong
    end
  end

  def test_every_mistake_of_a_file_is_told_in_order_of_its_lines
    random = Random.new(4)
    [1, 7, 50, 63].each do |count|
      good = Array.new(80) { |n| "server s#{n}" }
      lines = (good + Array.new(count) { |n| "wombat w#{n}" }).shuffle(random:)
      error = assert_raises(S::Misread) { model("sheet A: logical network\n#{lines.join("\n")}") }
      told = error.message.scan(/^line (\d+):/).flatten.map(&:to_i)
      wrong = lines.each_index.select { |n| lines[n].start_with?("wombat") }.map { |n| n + 2 }
      assert_equal wrong.first(S::Misread::MOST_LINES), told, count
      assert_equal count > 50, error.message.include?("and #{English.count(count - 50, "other line")}"), count
    end
  end

  def test_mistakes_of_both_passes_are_told_together
    error = assert_raises(S::Misread) { model("sheet A: logical network\nserver a\na on Nowhere\nsubnet N 10.0.0.1/24\nwombat\nb to a") }
    assert_equal [3, 4, 5, 6], error.message.scan(/^line (\d+):/).flatten.map(&:to_i)
  end

  def test_what_comes_next_is_offered_at_every_place_of_a_sentence
    missed =
      sentences
        .each_slice(3)
        .map(&:first)
        .flat_map do |sheet, line|
          tokens = S::Tokens.of(line)
          (1...tokens.length).filter_map do |at|
            here = context(sheet)
            unless offered?(line[0...tokens[at].from], line[tokens[at].from..], here) || own_words?(line, tokens[at])
              [line, tokens[at].text]
            end
          end
        end
    assert_empty missed.uniq.first(12)
  end

  def offered?(head, rest, context)
    words = S::Completion.new(head, context).words.map(&:first)
    words.any? { |word| rest.start_with?(word) }
  end

  # What only the person knows is offered by nobody: new names, verbs, texts, addresses, marks.
  def own_words?(line, token)
    token.mark? || token.quoted? || !token.text.match?(/\A[a-z]+\z/) || !S::Grammar.verbs.include?(token.text) ||
      line.match?(/(:|;| has | giving |requirement|says|meaning)/) || line.match?(/ gives .*\b#{Regexp.escape(token.text)}\b.* to /)
  end

  def test_what_is_offered_can_be_typed
    random = Random.new(9)
    sentences
      .sample(60, random:)
      .each do |sheet, line|
        words = line.split
        head = words.first(random.rand(words.length)).join(" ")
        head += " " unless head.empty?
        here = context(sheet)
        S::Completion
          .new(head, here)
          .words
          .map(&:first)
          .sample(5, random:)
          .each do |word|
            matcher = S::Matcher.new("#{head}#{word}", here)
            S::Grammar.forms_for(matcher.token(0)&.text, here.notation_name).each { |form| matcher.fit(form) }
            assert matcher.furthest >= matcher.tokens.length - 1 || S::Line.right?("#{head}#{word}", here), "#{head}#{word}"
          end
      end
  end

  def test_names_that_are_nearly_known_are_found_and_others_are_not
    random = Random.new(1)
    names = Array.new(400) { |n| "#{%w[pump valve meter tank main].sample(random:)}-#{%w[north south east west].sample(random:)}-#{n}" }
    names
      .sample(60, random:)
      .each do |name|
        wrong = swapped(name, random)
        near = Model::Names.nearest(wrong, names)
        assert_operator Model::Names.distance(wrong, near), :<=, Model::Names.distance(wrong, name), wrong
      end
    assert_nil Model::Names.nearest("completely different words", names)
  end

  def test_the_distance_of_words_is_a_distance
    random = Random.new(6)
    word = -> { Array.new(random.rand(0..7)) { %w[a b c d].sample(random:) }.join }
    300.times do
      one, two = Array.new(2) { word.call }
      assert_equal Model::Names.distance(one, two), Model::Names.distance(two, one)
      assert_equal one == two, Model::Names.distance(one, two).zero?
      assert_operator Model::Names.distance(one, two), :<=, [one.length, two.length].max
      assert_operator Model::Names.distance(one, two), :>=, (one.length - two.length).abs
    end
  end
end
