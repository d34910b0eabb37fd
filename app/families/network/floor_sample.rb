# frozen_string_literal: true

module Web
  module Families
    module Network
      # The plan of the building beneath the sample's comms room, to scale.
      module FloorSample
        SHEET = "Comms Room floor"
        FILE = "comms-room.svg"
        # Two corners of the room on the image, and how far they are apart on the floor.
        CORNERS = [[60, 60], [760, 60]].freeze
        METRES = 7

        module_function

        # @param folder [String] of the sample
        def fill(project, draft, folder)
          set = Basalt::Model::WorkingSet.new.advance(draft.effect, version: project.reload.version)
          sheet = set.sheets.by(:name, SHEET).first or return
          image = keep(project, File.binread(File.join(folder, FILE)))
          change = Basalt::Change::Draft.new(set)
          lay(change, sheet, image)
          Store::Repository.new(project.id, said_by: "sample").commit(change.effect, said: "put the plan of the building beneath")
        end

        def keep(project, content)
          safe = Drawings::SafeImage.new(content)
          Store::Image.create!(id: SecureRandom.uuid, project_id: project.id, name: "Plan of the building", type: safe.type,
                               width: safe.width, height: safe.height, content: safe.content)
        end

        # Its first corner lies at the corner of the room.
        def lay(draft, sheet, image)
          id = ImageRoutes.show(draft, sheet, image)
          placed = draft.placement(sheet.id, id)
          box = Basalt::Layout::Box.new(x: -CORNERS[0][0], y: -CORNERS[0][1], w: image.width, h: image.height)
          points = CORNERS.map { |x, y| [x + box.x, y + box.y] }
          scale = Basalt::Network::Floors::ImageScale.new(box, points, METRES)
          draft.apply(Basalt::Change::Arrange.new(placement_id: placed.id, to: { **scale.placement, by_hand: true }))
        end
      end
    end
  end
end
