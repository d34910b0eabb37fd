# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The likely answer to a call.
      module Answering
        module_function

        # @param spot [Spot] behind a call
        # @return [String, nil] the beginning of the line
        def words(set, spot)
          call = spot.before_id && set.element(spot.before_id)
          call && of(set, call)
        end

        # @return [String, nil] how a line begins that answers a call; nil for what is none
        def of(set, call)
          return unless call?(call)

          from, to = call.endpoints.map { |id| name(set.element(id)) }
          "#{to} answers #{from}: "
        end

        def call?(one) =
          one.kind == "message" && [nil, Kinds::CALL].include?(one["sort"]) && one["open"].nil? && one.endpoints.uniq.length == 2

        def name(participant)
          name = participant.name
          doubtful = Statements::Quoting.always?(name) || Statements::Quoting.doubtful?(name) || ParticipantSlot::WORDS.include?(name)
          doubtful ? Statements::Quoting.quote(name) : name
        end

        # @return [Line] the answer, with what its operation gives where that is known
        def line(set, call)
          to, from = %w[to from].map { |role| set.element(call.target(role)) }
          called = Calling.of(call.name)&.name
          gives = Typing.operations(set, to).find { |one| one.name == called }&.[]("type")
          Line.new(kind: "message", name: gives, ends: [["from", to], ["to", from]], facts: { "sort" => Kinds::ANSWER })
        end
      end
    end
  end
end
