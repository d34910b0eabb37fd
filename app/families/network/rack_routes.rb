# frozen_string_literal: true

module Web
  module Families
    module Network
      # Elevations of racks, and where in them there is room.
      module RackRoutes
        extend Routing

        RACKS = "/projects/:project_id/racks"

        helped_by :RackPages

        # Units that are looked for where nobody says how many.
        USUAL = 1

        post "#{RACKS}/:element_id/drawn", needs: :edit, answers: :redirect, makes: "AddSheet, SetSubject, Show" do
          with_project do |project|
            place = racked_place(project)
            racks = Basalt::Network::Racks::Rooms.new(project.set, place).racks
            raise Basalt::Mistake, "There is no rack in #{place.name} yet" if racks.empty?

            sheet_id = elevation_sheet(project.set, place)
            project.act(said: "drew the racks of #{place.name}", by: person) do |draft|
              sheet_id ||= new_elevation_sheet(draft, place)
            end
            lead_to(sheet_id)
          end
        end

        get("#{RACKS}/:element_id/room", needs: :see, answers: :part) do
          with_project do |project|
            units = Integer(params.fetch(:units, USUAL).to_s, 10, exception: false)
            raise Basalt::Mistake, "Say how many units, from 1 to 60" unless units&.between?(1, 60)

            fits = Basalt::Network::Racks::Rooms.new(project.set, racked_place(project)).fitting(units)
            view(:rack_room, units:, fits: fits.first(Presenters::PlacePanel::MOST))
          end
        end

        # What the routes need of the model.
        module RackPages
          NOTATION = Basalt::Network::Notation::Rack::NAME
          private_constant :NOTATION

          # @return [Basalt::Model::Element]
          def racked_place(project)
            place = element(project.set, params[:element_id])
            place.kind == "place" ? place : raise(Refusals::NotFound, "place")
          end

          # @return [String, nil] id of the sheet that is there already
          def elevation_sheet(set, place) = set.sheets_about(place.id).find { |one| one.notation_name == NOTATION }&.id

          # @return [String]
          def new_elevation_sheet(draft, place)
            id = Basalt::Network::Openers::Elevation.new.draw(draft, place)
            signed(draft, id)
            Basalt::Drawing::Arranger.new(draft, id).tidy
            id
          end
        end
      end
    end
  end
end
