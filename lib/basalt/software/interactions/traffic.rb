# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Who speaks to whom, how often.
      class Traffic
        # @param course [Course]
        def initialize(course)
          @participants = course.participants
          @counts = course.messages.reject { |one| one["open"] }.group_by(&:endpoints).transform_values(&:length)
        end

        attr_reader :participants

        # @return [Integer]
        def count(from_id, to_id) = @counts.fetch([from_id, to_id], 0)

        # @return [String] as CSV, who speaks down and to whom across
        def csv
          rows = participants.map { |from| [from.name, *participants.map { |to| count(from.id, to.id) }] }
          Formats::CSV.write([["says to", *participants.map(&:name)], *rows])
        end
      end
    end
  end
end
