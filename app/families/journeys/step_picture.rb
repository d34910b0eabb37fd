# frozen_string_literal: true

module Web
  module Families
    module Journeys
      # A sheet with the numbers of one journey, and of one of its steps if one is meant.
      module StepPicture
        Core = Basalt::Journeys

        module_function

        # @param number [String, nil]
        # @return [String] SVG
        def svg(set, sheet_id, walked, number, images: nil)
          step = walked.steps.find { |one| one.number == number }
          Drawings::Export.svg(set, sheet_id, images:) do |scene|
            Core::Picture.new(scene, Core::Marks.new(set, sheet_id, [walked]), now: step)
          end
        end
      end
    end
  end
end
