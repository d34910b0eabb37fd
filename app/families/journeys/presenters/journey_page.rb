# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # A journey step by step, each with a picture of where it goes.
        class JourneyPage
          Core = Basalt::Journeys
          Row = Basalt::Value.of(:number, :words, :depth, :meets, :onwards, :picture, :top)
          # So many pictures are on one page.
          MOST = 60

          # @param walked [Core::Survey::Walked]
          def initialize(set, walked)
            @set = set
            @walked = walked
          end

          def id = @walked.journey.id
          def name = @walked.journey.name
          def who = @walked.journey["who"]
          def goal = @walked.journey["goal"]

          # @return [Basalt::Model::Sheet, nil] on which it is pictured
          def sheet = @walked.ground.sheet_ids.first&.then { |id| @set.sheets[id] }

          # @return [Integer] how many steps have no picture
          def beyond = [@walked.steps.length - MOST, 0].max

          # @return [Array<Row>]
          def rows
            pictured = @walked.steps.first(MOST).map(&:number)
            @walked.course.entries.map { |entry| row(entry, pictured) }
          end

          private

          def row(entry, pictured)
            one = entry.element
            step = one.kind == Core::Kinds::STEP
            Row.new(number: entry.number, words: step ? Told.words(one) : Told.branch(one), depth: [entry.depth, 6].min,
                    meets: Core::Declared.met(@set, one.id).map { |id| @set.element(id).name },
                    onwards: @walked.course.resumes(one.id)&.then { |id| @walked.course.number(id) },
                    picture: step && !sheet.nil? && pictured.include?(entry.number), top: step && entry.depth.zero?)
          end
        end
      end
    end
  end
end
