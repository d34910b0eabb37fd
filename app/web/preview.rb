# frozen_string_literal: true

module Web
  # What the statement line offers while somebody types: words that could go on, and what the
  # statement would come to.
  class Preview
    MOST = 8

    # @param text [String] the line so far
    # @param place [Hash] where the line would go (see TypingPlace)
    def initialize(project, sheet, text, place = {})
      @place = place
      @project = project
      @sheet = sheet
      @text = text
    end

    attr_reader :text

    # @return [Array<Array(Integer, String, String)>] where it begins, the words, and what they are
    def words
      return [] if @text.length > 500 || @text.include?("\n")

      (at_end + in_word)
        .uniq
        .sort_by
        .with_index { |(from, words, _), i| [words.downcase.start_with?(@text[from..].to_s.downcase) ? 0 : 1, i] }
        .first(MOST)
    rescue Basalt::Statements::Misread
      []
    end

    # @return [Array(Symbol, String)] +:fits+, +:warns+, +:wrong+ or +:nothing+, and a sentence
    def hint = @hint ||= foretold

    def foretold
      return :nothing, "" if @text.strip.empty?

      draft = @draft = Basalt::Change::Draft.new(@project.set)
      Acting.say(draft, @sheet, @text, TypingPlace.cursor(draft, @sheet, @place))
      draft.effect.empty? ? [:nothing, "stands so already"] : consequence(draft)
    rescue Basalt::Mistake => e
      [:wrong, e.message]
    end

    # @return [Array<Basalt::Drawing::Item>] what the statement would add to the sheet
    def ghost
      return [] unless %i[fits warns].include?(hint.first) && @draft

      @project.preview(@draft, @sheet.id)
    rescue Basalt::Mistake
      []
    end

    # @return [String] the same as SVG, with ids of its own
    def ghost_svg = ghost.map { |item| Basalt::Drawing::SVG.group(item.with(id: "ghost-#{item.id}")) }.join

    private

    # What could follow the words that are there.
    def at_end
      return [] unless @text.empty? || @text.end_with?(" ")

      expected(@text, @text.length)
    end

    # What the last words could be the beginning of.
    def in_word
      words = @text.split(/(?<=\s)/)
      (1..[words.length, 4].min).flat_map do |count|
        head = words[0...-count].join
        partial = words.last(count).join.downcase
        begun =
          expected(head, head.length, partial.strip).select do |_, word, _|
            word.downcase.start_with?(partial) && word.downcase != partial.strip
          end
        begun + completion(head, partial).synonyms.map { |word, type| [head.length, word, type] }
      end
    end

    def expected(head, from, partial = "") = completion(head, partial).words.map { |word, type| [from, word, type] }

    def completion(head, partial)
      context = Basalt::Statements::Context.new(Basalt::Change::Draft.new(@project.set), sheet_id: @sheet.id)
      Basalt::Statements::Completion.new(head, context, partial:)
    end

    def consequence(draft)
      fresh = newly_found(draft)
      worst = fresh.find(&:error?)
      return :warns, "#{worst.message}. #{worst.why}" if worst

      [:fits, fits(draft, fresh)]
    end

    # Only what is near the statement is looked at, before and after it.
    def newly_found(draft)
      touched = Basalt::Checks::Touched.by(draft.effect)
      known = Basalt::Checks::Runner.new(@project.set).near(touched).to_set(&:key)
      Basalt::Checks::Runner.new(draft).near(touched).reject { |finding| known.include?(finding.key) }
    end

    def fits(draft, fresh)
      addresses =
        draft.elements.differences.filter_map do |_, before, after|
          after["address"] if after && after["address"] && before&.[]("address") != after["address"]
        end
      return "#{addresses.first} is free" if addresses.one?
      return "Enter takes it; then: #{fresh.first.message}" if fresh.any?

      "Enter takes it"
    end
  end
end
