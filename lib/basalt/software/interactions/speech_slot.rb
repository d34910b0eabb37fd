# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What is said: the rest of the line as it stands. Where nothing stands there yet, what whoever hears it can be asked could.
      class SpeechSlot < Statements::TextSlot
        MOST = 40

        def candidates(matcher, node, rest, at, &)
          return super if matcher.token(at)

          operations(matcher, at).first(MOST).each { |operation| matcher.expect(at, "“#{words(operation)}”") }
          matcher.expect(at, "some text")
        end

        private

        # The operation as it is called: its name and what it takes.
        def words(operation)
          taken = Classes::Facts.parameters(operation).reject { |one| one.direction == "out" }
          "#{operation.name}(#{taken.map(&:name).join(", ")})"
        end

        def operations(matcher, at)
          to = hearer(matcher, at)
          to ? Typing.operations(matcher.context.draft, to) : []
        end

        # @return [Model::Element, nil] whose name stands between the verb and the colon
        def hearer(matcher, at)
          interaction = matcher.context.sheet_id && Scope.shown(matcher.context.draft, matcher.context.sheet_id) or return
          before = matcher.tokens.first([at - 1, 0].max)
          verb = before.rindex { |token|
            token.word? && (Sentences::VERBS.key?(token.text) || token.text == ParticipantSlot::ITSELF)
          } or return
          name = before[verb].text == ParticipantSlot::ITSELF ? before.first(verb) : before.drop(verb + 1)
          TakingPart.known(matcher.context.draft, interaction.id, name.map(&:text).join(" "))
        end
      end
    end
  end
end
