# frozen_string_literal: true

module Web
  module Families
    module Network
      # A sheet of the other level, begun from one: cabling from subnets, and subnets from cabling.
      module LevelRoutes
        extend Routing

        post "#{EditRoutes::SHEET}/other-level", needs: :edit, answers: :redirect, makes: "AddSheet, Show, Add, SetEnd" do
          with_project do |project|
            from = sheet(project)
            level = Levels::OTHER[from.notation_name] or raise Basalt::Mistake, "Only sheets of networks have another level"

            id = nil
            project.act(said: "began #{level.title} of #{from.name}", by: person) do |draft|
              id = open_sheet(draft, "#{from.name}: #{level.title}", level.notation)
            end
            project.act(said: "took #{level.title} from #{from.name}", by: person, sheet_id: id, tidy: true) do |draft|
              level.work.new(draft, from.id, id).apply
            end
            lead_to(id)
          end
        end

        # What is begun from which sheets.
        module Levels
          Level = Basalt::Value.of(:title, :notation, :work)
          LOGICAL = Basalt::Network::Notation::Logical::NAME
          PHYSICAL = Basalt::Network::Notation::Physical::NAME
          OTHER = {
            LOGICAL => Level.new(title: "cabling", notation: PHYSICAL, work: Basalt::Network::Cabling::FirstWiring),
            PHYSICAL => Level.new(title: "addressing", notation: LOGICAL, work: Basalt::Network::FirstSubnets)
          }.freeze
          private_constant :LOGICAL, :PHYSICAL
        end
      end
    end
  end
end
