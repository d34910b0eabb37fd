# frozen_string_literal: true

module Basalt
  module Journeys
    # The lines about one journey in an edited reading: it becomes what they say, in their order; a line that moved is a step that moved.
    module Rewriting
      # What cannot be said, with the line of the reading.
      class Refused < Mistake
        def initialize(index, words)
          @index = index
          super(words)
        end

        attr_reader :index
      end

      module_function

      # @return [String, nil] id of the journey
      def key(context, said)
        Steps.journey(context, said).id
      rescue Steps::Misplaced
        nil
      end

      # @param lines [Array<Array(Integer, Hash)>]
      def rewrite(draft, sheet_id, journey_id, lines)
        steps, onwards = lines.partition { |_, said| said.key?(:number) }
        going = onwards.to_h { |_, said| [said[:from], said[:to]] }
        made = steps.map { |index, said| Script::Line.new(at: index, number: said[:number], said:, onwards: going[said[:number]]) }
        Script.new("").take(draft, journey_id, made, sheet_id:)
      rescue Script::Unreadable => e
        raise Refused.new(e.line, e.reason)
      end
    end
  end
end
