# frozen_string_literal: true

module Basalt
  module Journeys
    # A journey as a text that is typed and edited as a whole: a line for each step, as its sentence has it, behind the number that it
    # had; branches as +2a when ...+ or +2a on refusal: ...+. Behind an arrow stands the step at which the journey goes on. A line
    # that moves is a step that moves, with what is beneath it; steps number themselves.
    class Script
      LETTERS = 2000
      ARROW = /\s+->\s*(\S+)\z/
      NUMBERED = /\A(\d\S*?)[.):]?(?:\s+(.*))?\z/
      BRANCH = /\A(?:when|(on refusal)\s*:?)\s*(.*)\z/

      # A line that cannot be read.
      class Unreadable < Mistake
        def initialize(line, reason)
          @line = line
          @reason = reason
          super("line #{line}: #{reason}")
        end

        attr_reader :line, :reason
      end

      # What a line says: the number that it had, what stands behind it, or what was read of that, and where it goes on.
      Line = Value.of(:at, :number, :rest, :said, :onwards)

      # @return [String] the text of a journey
      def self.of(set, journey_id)
        course = Course.new(set, journey_id)
        unparser = Statements::Unparser.new(set)
        course.entries.map { |entry| "#{"  " * entry.depth}#{line(unparser, course, entry)}" }.join("\n")
      end

      def self.line(unparser, course, entry)
        onwards = course.resumes(entry.element.id)&.then { |id| " -> #{course.number(id)}" }
        "#{entry.number} #{entry.element.kind == Kinds::STEP ? Sentences.walking(unparser, entry.element) : condition(entry.element)}" \
          "#{onwards}"
      end

      def self.condition(branch) = "#{branch["refusal"] ? "on refusal:" : "when"} #{branch["condition"]}".strip

      # @raise [Mistake] where it is too long
      def initialize(text)
        @lines = text.to_s.lines.map(&:strip)
        raise Mistake, "A journey has #{Steps::MOST} steps at most, and these are #{@lines.length} lines" if @lines.length > Steps::MOST
      end

      # Makes the journey say what the text says, and no more.
      #
      # @param draft [Change::Draft] not to be used when a line cannot be read
      # @raise [Unreadable] naming the line
      def into(draft, journey_id, sheet_id: nil) = take(draft, journey_id, read, sheet_id:)

      # @param lines [Array<Line>]
      def take(draft, journey_id, lines, sheet_id: nil)
        @context = Statements::Context.new(draft, sheet_id:)
        @journey = draft.element(journey_id)
        @before = Course.new(draft, journey_id).entries.to_h { |entry| [entry.number, entry.element] }
        @written = {}
        @last = []
        @rank = Hash.new(0)
        kept = lines.map { |line| on_line(line) { put(line) } }
        lines.zip(kept) { |line, element| on_line(line) { go_on(element, line.onwards) } }
        (@before.each_value.map(&:id) - kept.map(&:id)).each { |id| remove(id) }
        draft
      end

      private

      def draft = @context.draft

      def read
        @lines.each_with_index.filter_map do |text, index|
          next if text.empty?
          raise Unreadable.new(index + 1, "a line has #{LETTERS} letters at most") if text.length > LETTERS

          number, rest = text.sub(ARROW, "").match(NUMBERED)&.captures || [nil, text.sub(ARROW, "")]
          Line.new(at: index + 1, number:, rest: rest.to_s, onwards: text[ARROW, 1])
        end
      end

      def on_line(line)
        yield
      rescue Unreadable
        raise
      rescue Mistake => e
        raise Unreadable.new(line.at, e.message)
      end

      def put(line)
        number = line.number || following
        branch = number.match?(Course::BRANCH)
        raise Mistake, "“#{Model::Names.short(number)}” is no number of a step, such as 2, 2.1, 2a or 2a1" unless branch || number.match?(Course::STEP)

        owner = owner(number)
        element = kept(line.number,
                       branch ? Kinds::BRANCH : Kinds::STEP) || @context.add(branch ? Kinds::BRANCH : Kinds::STEP, owner_id: owner.id)
        branch ? say_branch(element, *turn(line)) : say_step(element, line.said || step(line.rest))
        placed(draft.element(element.id), owner)
        @written[number] = element.id
        @last = [*@last.take_while { |known| beneath?(number, known) }, number]
        draft.element(element.id)
      end

      # A line without a number stands beside the one above it, or is the first beneath a branch; a number that no line had is enough.
      def following
        stem = @last.empty? ? "" : @last.last[/\A(.*?)\d*\z/, 1]
        (1..9999).lazy.map { |number| "#{stem}#{number}" }.find { |one| !@written.key?(one) && @before[one].nil? }
      end

      def beneath?(number, known) = number.start_with?(known) && number != known && !number.delete_prefix(known).match?(/\A\d/)

      def owner(number)
        above = number[/\A(.*?)\.?(?:\d+|[a-z]+)\z/, 1]
        return @journey if above.empty?

        @written[above]&.then { |id| draft.element(id) } || raise(Mistake, "there is no line #{above} above that #{number} could belong to")
      end

      # What a number stood for, once.
      def kept(number, kind)
        found = number && @before[number]
        draft.element(found.id) if found && found.kind == kind && !@written.value?(found.id) && draft.element(found.id)
      end

      # @return [Array(String, String)] whether it is on refusal, and when
      def turn(line)
        line.said ? line.said.values_at(:refusal, :condition) : line.rest.match(BRANCH)&.captures || [nil, line.rest]
      end

      def say_branch(branch, refusal, words)
        @context.set(branch.id, "condition", words.to_s.empty? ? nil : words)
        @context.set(branch.id, "refusal", refusal ? true : nil)
      end

      def step(rest)
        form, said = Statements::Line.understood("step 1 : #{rest}", @context)
        raise Statements::Line.lacking("step 1 : #{rest}", @context) unless form && said.key?(:from)

        said
      end

      # What the line no longer says is not so any more.
      def say_step(step, said)
        (step.facts.keys - said_facts(said)).each { |fact| @context.set(step.id, fact, nil) }
        Steps.say(@context, draft.element(step.id), said)
        met = said.fetch(:qualities, []).filter_map { |_, values| values[:requirement]&.id }
        Declared.of(draft, Declared::MEETS, "thing", step.id).each { |one| remove(one.id) unless met.include?(one.target("requirement")) }
      end

      # Those that the line sets, so that nothing is cleared to be set again.
      def said_facts(said) = ["note", *Steps::FACTS, *said.fetch(:qualities, []).flat_map { |quality, values| quality.facts(values) }]

      def placed(element, owner)
        rank = (@rank[owner.id] += 1) * Change::OrderKey::ROOM
        draft.put(:elements, element.with(owner_id: owner.id, rank:)) unless element.rank == rank && element.owner_id == owner.id
      end

      def go_on(element, onwards)
        to = onwards && (@written[onwards] || @before[onwards]&.id)
        raise Mistake, "there is no step #{onwards} to go on at" if onwards && draft.element(to.to_s)&.kind != Kinds::STEP

        standing = Steps.standing(draft, element.id)
        standing.each { |one| remove(one.id) unless one.target("to") == to }
        return if to.nil? || standing.any? { |one| one.target("to") == to }

        @context.add(Kinds::GOING_ON, ends: [["from", element.id], ["to", to]])
      end

      def remove(id) = draft.element(id) && draft.apply(Change::Remove.new(id:))
    end
  end
end
