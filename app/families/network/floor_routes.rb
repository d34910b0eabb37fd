# frozen_string_literal: true

module Web
  module Families
    module Network
      # Plans of floors: the scale of what lies beneath them, and the lengths of cables.
      module FloorRoutes
        extend Routing

        NO_CORNER = "Say which room or floor the plan is about: all is told from its corner"
        NO_CABLE = "There is no cable to estimate anew: both its ends have to stand on the plan, and no length be said of it"

        helped_by :Floors

        post "#{EditRoutes::SHEET}/pictures/:element_id/scale", needs: :edit, answers: :pieces, makes: "Arrange" do
          on_sheet(->(draft) { "set the scale of #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
            image = element(draft, params[:element_id])
            placed = draft.placement(sheet.id, image.id)
            raise Basalt::Refusals::GoneFromSheet, "The image" unless placed&.box && image["image"]

            scale = Basalt::Network::Floors::ImageScale.new(placed.box, two_points, metres)
            draft.apply(Basalt::Change::Arrange.new(placement_id: placed.id, to: { **scale.placement, by_hand: true }))
          end
        end

        post "#{EditRoutes::SHEET}/cable-lengths", needs: :edit, answers: :pieces, makes: "Set" do
          on_sheet("estimated lengths of cables along the trays") do |draft, sheet|
            raise Basalt::Mistake, NO_CORNER unless sheet.subject_id

            changes = Basalt::Network::Floors::CableLengths.new(draft).proposals(sheet.subject_id)
            raise Basalt::Mistake, NO_CABLE if changes.empty?

            draft.apply(changes)
            nil
          end
        end

        # What a form says of an image.
        module Floors
          def two_points = [Acting.numbers(params, "x1", "y1"), Acting.numbers(params, "x2", "y2")]

          def metres
            number = Float(params[:metres].to_s.tr(",", "."), exception: false)
            number&.finite? ? number : raise(Basalt::Mistake, "Say how many metres are between the two points")
          end
        end
      end
    end
  end
end
