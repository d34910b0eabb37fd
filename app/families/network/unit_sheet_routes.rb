# frozen_string_literal: true

module Web
  module Families
    module Network
      # Sheets that show the ports of a unit, or of two beside each other.
      module UnitSheetRoutes
        extend Routing

        helped_by :UnitSheets

        post "#{CablingRoutes::CABLING}/units/:element_id/drawn", needs: :edit, answers: :redirect, makes: "AddSheet, SetSubject, Show" do
          with_project do |project|
            unit = cabled_unit(project)
            beside = params[:beside].to_s.empty? ? nil : element(project.set, params[:beside])
            raise Basalt::Mistake, "Only units have ports to compare" unless beside.nil? || beside.kind == "device"

            sheet_id = known_sheet(project.set, unit, beside)
            project.act(said: "drew the ports of #{[unit, beside].compact.map(&:name).join(" and ")}", by: person) do |draft|
              sheet_id ||= unit_sheet(draft, [unit, beside].compact)
            end
            lead_to(sheet_id)
          end
        end

        # What the route needs of the model.
        module UnitSheets
          NOTATION = Basalt::Network::Notation::Unit::NAME
          private_constant :NOTATION

          # @return [String, nil] id of a sheet that shows just these
          def known_sheet(set, *units)
            ids = units.compact.map(&:id).sort
            set.sheets_of(ids.first).find { |id| set.sheets[id].notation_name == NOTATION && set.things_on(id).map(&:id).sort == ids }
          end

          # @return [String] id of the sheet
          def unit_sheet(draft, units)
            title = "Ports of #{units.map(&:name).join(" and ")}"
            open_sheet(draft, title, NOTATION, about: units.one? ? units.first : nil, showing: units)
          end
        end
      end
    end
  end
end
