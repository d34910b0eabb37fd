# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # The journeys that are walked on a sheet, and those that could be.
        class SheetPanel
          Core = Basalt::Journeys
          Row = Basalt::Value.of(:id, :name, :who, :sign, :lacking)
          # That many others are offered.
          MOST = 40

          def initialize(project:, sheet:)
            @set = project.set
            @sheet = sheet
          end

          # @return [Boolean] whether somebody could walk there
          def walkable? = @sheet.notation.walkable? || journeys.any?

          # @return [Array<Row>]
          def journeys
            @journeys ||= survey.on(@sheet.id).each_with_index.map do |one, place|
              Row.new(id: one.journey.id, name: one.journey.name, who: one.journey["who"], sign: sign(place), lacking: lacking(one))
            end
          end

          # @return [Array<Basalt::Model::Element>]
          def others = @set.of_kind(Core::Kinds::JOURNEY).reject { |one| @set.shown?(@sheet.id, one.id) }.first(MOST)

          private

          def survey = Core::Survey.of(@set)

          # How its numbers look, as a picture.
          def sign(place)
            drawn = Core::NumberSign.shapes(" ", 13, 10, place).map { |shape| Basalt::Drawing::SVG.shape(shape) }.join
            "<svg class=\"walk-sign\" width=\"26\" height=\"20\" aria-hidden=\"true\">#{drawn}</svg>"
          end

          def lacking(one)
            found = Lacking.new(@set, @sheet, one)
            found.parts.length + found.lines.length
          end
        end
      end
    end
  end
end
