# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The sentences about interactions, both ways. What happens is said line by line, in order; a fragment is opened, may have further
      # branches, and is closed by +end+.
      module Sentences
        K = Kinds
        VERBS = { "asks" => K::CALL, "tells" => K::ASYNCHRONOUS, "answers" => K::ANSWER, "creates" => K::CREATION,
                  "destroys" => K::DESTRUCTION }.freeze
        PASSIVE = { "is asked" => K::CALL, "is told" => K::ASYNCHRONOUS }.freeze
        # The words that begin the next branch of a fragment.
        BRANCHES = { K::EITHER => "or", K::PARALLEL => "also" }.freeze
        CLOSE = Statements::Blocks::CLOSE

        # A line, as its words say it.
        def self.form(source, opens: false, &said)
          Statements::Form.new(source, ordered: said, opens:) { |context, captures| Cursor.of(context).take(said.call(captures)) }
        end

        def self.message(sort, from, to, said, open: nil) =
          Line.new(kind: "message", name: said[:text], ends: [["from", from], ["to", to]],
                   facts: { "sort" => sort, "open" => open }.compact)

        # @param to [Model::Element, Statements::Naming, Symbol] +:itself+, +:nobody+
        def self.spoken(sort, from, to, said)
          raise Mistake,
                "somebody speaks, or somebody hears it: a message from nobody to nobody is none" if from == :nobody && to == :nobody
          return message(sort, to, to, said, open: K::FOUND) if from == :nobody
          return message(sort, from, from, said, open: K::LOST) if to == :nobody

          message(sort, from, to == :itself ? from : to, said)
        end

        def self.mark(sort, one, other, said) =
          Line.new(kind: "mark", name: said[:text], ends: [["at", one], ["to", other]], facts: { "sort" => sort })

        def self.opening(operator, guard: nil, **facts) =
          Line.new(role: :open, kind: "fragment", facts: { "operator" => operator, **facts.transform_keys(&:to_s) }.compact, guard:)

        def self.branch(operator, guard) = Line.new(role: :branch, kind: "operand", facts: { "operator" => operator }, guard:)

        FORMS = [
          *VERBS.map do |verb, sort|
            form("<from:speaker> #{verb} <to:hearer> [: <text:speech>]") { |said| spoken(sort, said[:from], said[:to], said) }
          end,
          *PASSIVE.map do |words, sort|
            form("<to:participant> #{words} [: <text:text>]") { |said| spoken(sort, :nobody, said[:to], said) }
          end,
          form("<from:participant> itself [: <text:speech>]") { |said| spoken(K::CALL, said[:from], :itself, said) },
          form("note at <one:participant> [and <other:participant>] : <text:text>") do |said|
            mark(K::NOTE, said[:one], said[:other] || said[:one], said)
          end,
          form("time at <one:participant> [and <other:participant>] : <text:text>") do |said|
            mark(K::TIME, said[:one], said[:other] || said[:one], said)
          end,
          form("either [when <guard:text>]", opens: true) { |said| opening(K::EITHER, guard: said[:guard]) },
          form("optionally [when <guard:text>]", opens: true) { |said| opening(K::OPTION, guard: said[:guard]) },
          form("repeat [<times:rounds> times] [while <guard:text>]", opens: true) do |said|
            opening(K::LOOP, guard: said[:guard], times: said[:times])
          end,
          form("together", opens: true) { |_| opening(K::PARALLEL) },
          form("break [when <guard:text>]", opens: true) { |said| opening(K::BREAK, guard: said[:guard]) },
          form("or [when <guard:text>]") { |said| branch(K::EITHER, said[:guard]) },
          form("also") { |_| branch(K::PARALLEL, nil) },
          form("refer to <refers:text>") do |said|
            Line.new(kind: "fragment", facts: { "operator" => K::REFERENCE, "refers" => said[:refers] })
          end,
          form("end") { |_| Line.new(role: :close) },
          form("with the note : <text:text>") { |said| Line.new(role: :about, facts: { "note" => said[:text] }) },
          form("that is assumed") { |_| Line.new(role: :about, facts: { "assumed" => true }) },
          form("this branch is assumed") { |_| Line.new(role: :about, kind: "operand", facts: { "assumed" => true }) }
        ].freeze

        UNPARSERS = %w[message mark].to_h { |kind|
          [kind, ->(unparser, one) {
            [Script.new(unparser.set, nil).relation(unparser, one)]
          }]
        }.freeze

        SLOTS = {
          participant: ParticipantSlot.new,
          speaker: ParticipantSlot.new(words: [ParticipantSlot::NOBODY]),
          hearer: ParticipantSlot.new(words: ParticipantSlot::WORDS),
          speech: SpeechSlot.new,
          rounds: RoundsSlot.new,
          participant_nature: Statements::ChoiceSlot.new(K::NATURES)
        }.freeze

        def self.quality(...) = Statements::Quality.new(...)

        QUALITIES = [
          quality("participant", "of <type:words>"),
          Statements::Quality.chosen("participant", "[as] [a|an] <nature:participant_nature>", "nature") do |nature|
            ["as", English.article(nature), nature]
          end
        ].freeze
      end
    end
  end
end
