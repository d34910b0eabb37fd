# frozen_string_literal: true

module Basalt
  module Journeys
    # The sentences about journeys, both ways.
    module Sentences
      K = Kinds
      JOURNEY = "thing(journey)"
      BETWEEN = NameListSlot::BETWEEN

      FORMS = [
        Statements::Form.new(
          "step <number:walknumber> [of <journey:#{JOURNEY}>] : <from:words> [to <to:words>] [: <passes:words>] {journey step}",
          together: Rewriting
        ) { |context, said| Steps.step(context, said) },
        Statements::Form.new(
          "branch <number:walkbranch> [of <journey:#{JOURNEY}>] [on <refusal:refusal>] : <condition:text>",
          together: Rewriting
        ) { |context, said| Steps.branch(context, said) },
        Statements::Form.new(
          "after <from:walkplace> of <journey:#{JOURNEY}> comes <to:walknumber>",
          late: true,
          together: Rewriting
        ) { |context, said| Steps.go_on(context, said) },
        Statements::Form.new(
          "<thing:thing> goes|go through <names:namelist> [ending as <ends:namelist>]",
          late: true,
          retract: ->(context, said, other) { Declared.unsaid(context, K::STATES, "of", said, other) }
        ) do |context, said|
          Declared.states(context, said[:thing], said[:names], said[:ends])
        end,
        Statements::Form.new(
          "<thing:thing> is asked by <by:words>",
          late: true,
          retract: ->(context, said, _) { Declared.asked_no_more(context, said[:thing], said[:by]) }
        ) { |context, said| Declared.asking(context, said[:thing], said[:by]) }
      ].freeze

      SLOTS = {
        walknumber: Statements::WordSlot.new(Course::STEP, "a number such as 3 or 3a1", quoted: false),
        walkbranch: Statements::WordSlot.new(Course::BRANCH, "a number and a letter such as 3a", quoted: false),
        walkplace: Statements::WordSlot.new(/#{Course::STEP}|#{Course::BRANCH}/, "a number such as 3 or 3a", quoted: false),
        refusal: Statements::ChoiceSlot.new(["refusal"]),
        namelist: NameListSlot.new
      }.freeze

      # Words that end a text that stands without quotes, and those that do so at one place alone.
      STOPS = %w[to signs only may reads writes moves when meets].to_set.freeze

      # @param others [Array<String>] that end it there too
      # @return [String] a text as these sentences read it back
      def self.words(unparser, text, *others)
        plain = text.match?(/\A[\p{L}\p{N}'-]+( [\p{L}\p{N}'-]+)*\z/) && text.split.none? { |word|
          STOPS.include?(word) || others.include?(word)
        }
        plain ? text : unparser.word(text)
      end

      def self.listed(unparser, text) = text.split(BETWEEN).flat_map { |name| [:comma, words(unparser, name, "ending")] }.drop(1)

      # @return [Array<String>] what is told behind a journey
      def self.details(unparser, journey)
        course = Course.new(unparser.set, journey.id)
        told = course.entries.map { |entry| entry.element.kind == K::STEP ? step(unparser, journey, entry) : branch(unparser, journey, entry) }
        told + course.entries.filter_map { |entry| going_on(unparser, journey, course, entry) }
      end

      def self.going_on(unparser, journey, course, entry)
        to = course.resumes(entry.element.id) or return
        unparser.say("after", entry.number, "of", unparser.thing(journey.id), "comes", course.number(to))
      end

      def self.step(unparser, journey, entry) =
        unparser.say("step", entry.number, "of", unparser.thing(journey.id), :colon, *walked(unparser, entry.element))

      # @return [String] what is told of a step behind its number
      def self.walking(unparser, step) = unparser.say("step", "1", :colon, *walked(unparser, step)).delete_prefix("step 1: ")

      def self.walked(unparser, one)
        to = one["to"] ? ["to", words(unparser, one["to"])] : []
        passes = one["passes"] ? [:colon, words(unparser, one["passes"])] : []
        said = Statements::Grammar.qualities(K::STEP).flat_map { |quality| quality.tell(unparser, one) }
        [words(unparser, one["from"] || UNSAID), *to, *passes, *said.flat_map { |parts| [:comma, *parts] }]
      end

      def self.branch(unparser, journey, entry)
        on = entry.element["refusal"] ? ["on refusal"] : []
        unparser.say("branch", entry.number, "of", unparser.thing(journey.id), *on, :colon, entry.element["condition"] || UNSAID)
      end

      # What stands where nobody said anything yet.
      UNSAID = "…"

      # Where a journey goes on is told with it.
      UNPARSERS = {
        K::GOING_ON => ->(_unparser, _one) { [] },
        K::STATES => ->(unparser, one) do
          ending = one["ends"] ? ["ending as", *listed(unparser, one["ends"])] : []
          [unparser.say(unparser.thing(one.target("of")), "goes through", *listed(unparser, one["names"] || UNSAID), *ending)]
        end,
        K::ASKING => ->(unparser, one) do
          [unparser.say(unparser.thing(one.target("store")), "is asked by", words(unparser, one["by"] || UNSAID))]
        end
      }.freeze

      def self.quality(source, **rest) = Statements::Quality.new(K::STEP, source, **rest)

      # Sets the facts that were captured, and clears those that might have been.
      def self.several(source, facts, &tell)
        quality(
          source,
          take: ->(context, one, said) { facts.each { |fact| context.set(one.id, fact, said[fact.to_sym]) } },
          tell: ->(unparser, one) { one[facts.first] ? [tell.call(unparser, one)] : [] },
          clear: ->(context, one, _) { facts.each { |fact| context.set(one.id, fact, nil) } }
        )
      end

      def self.said_of_journey(word, fact)
        Statements::Quality.chosen(K::JOURNEY, "#{word} <#{fact}:words>", fact) { |text| [word, Statements::Slots.fetch(:words).write(text)] }
      end

      QUALITIES = [
        said_of_journey("by", "who"),
        said_of_journey("goal", "goal"),
        several("reads <reads:words> [by <asks:words>]", %w[reads asks]) do |unparser, one|
          ["reads", words(unparser, one["reads"], "by"), *(one["asks"] ? ["by", words(unparser, one["asks"])] : [])]
        end,
        several("writes <writes:words>", %w[writes]) { |unparser, one| ["writes", words(unparser, one["writes"])] },
        several("moves <moves:words> [from <was:words>] to <state:words>", %w[moves was state]) do |unparser, one|
          was = one["was"] ? ["from", words(unparser, one["was"])] : []
          ["moves", words(unparser, one["moves"], "from"), *was, "to", words(unparser, one["state"] || UNSAID)]
        end,
        several("when <condition:words>", %w[condition]) { |unparser, one| ["when", words(unparser, one["condition"])] },
        quality("signs in", fact: "signs_in"),
        quality("only signed in", fact: "signed_in"),
        quality("may be refused", fact: "refusable"),
        quality(
          "meets <requirement:thing(requirement)>",
          take: ->(context, one, said) { Declared.meeting(context, one, said[:requirement]) },
          tell: ->(unparser, one) { Declared.met(unparser.set, one.id).map { |id| ["meets", unparser.thing(id)] } },
          clear: ->(context, one, said) { Declared.meeting_no_more(context, one, said[:requirement]) }
        )
      ].freeze
    end
  end
end
