# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # What the page needs to walk journeys on a drawing: their numbers as groups, what they touch, and the steps in their order.
        class Walk
          Core = Basalt::Journeys

          # @param chosen [String, nil] ids of journeys, all of the sheet where none are said
          def initialize(set, sheet_id, chosen)
            @set = set
            @all = Core::Survey.of(set).on(sheet_id)
            wanted = chosen.to_s.split(",").grep(Lookup::ID)
            @walked = wanted.empty? ? @all : @all.select { |one| wanted.include?(one.journey.id) }
            @marks = Core::Marks.new(set, sheet_id, @walked, places: @walked.map { |one| @all.index(one) })
          end

          # @return [Hash]
          def told
            { marks: @marks.items.map { |item| Basalt::Drawing::SVG.group(item) }.join, touched: @marks.touched.to_a, steps: }
          end

          private

          def steps
            @walked.flat_map do |one|
              by_id = one.steps.to_h { |step| [step.element.id, step] }
              one.course.entries.map { |entry| step(one, entry, by_id[entry.element.id]) }
            end
          end

          def step(one, entry, step)
            words = step ? Told.words(entry.element) : Told.branch(entry.element)
            { id: entry.element.id, journey: one.journey.name, number: entry.number, words:, ids: step ? Core::Marks.ids(step) : [] }
          end
        end
      end
    end
  end
end
