# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # A package: a folder with a tab (UML 2.5.1, 12.2.4). Its name stands in the tab where something is drawn inside, else in the middle.
      module Folder
        TAB = 22
        HEIGHT = 62
        LEAST = 110
        MOST = 240
        S = Drawing::Shapes
        P = Drawing::Pens

        module_function

        # @return [Array(Numeric, Numeric)] of one that shows nothing inside
        def size(package, note = nil) =
          [[P.width(package.name, :name), note ? P.width(note, :identifier) : 0].max.+(28).clamp(LEAST, MOST).ceil, HEIGHT]

        # @param note [String, nil] beneath the name
        # @return [Array] shapes
        def closed(package, box, note = nil)
          [
            *outline(package, box, 46, :outline),
            S.text(box.cx, box.y + TAB + (note ? 18 : 25), P.fit(package.name, :name, box.w - 16), :name, :middle),
            *([S.text(box.cx, box.y + TAB + 33, note, :identifier, :middle)] if note)
          ]
        end

        # Around what is inside.
        #
        # @return [Array] shapes
        def open(package, box)
          name = P.fit(package.name, :name, [box.w - 60, 60].max)
          wide = [P.width(name, :name) + 24, box.w - 20].min
          [*outline(package, box, wide, package.assumed ? :assumed_boundary : :boundary), S.text(box.x + 12, box.y + 16, name, :name)]
        end

        def outline(package, box, wide, pen)
          pen = :assumed if package.assumed && pen == :outline
          [S.rect(box.x, box.y + TAB, box.w, box.h - TAB, pen), S.rect(box.x, box.y, wide, TAB, pen)]
        end
      end
    end
  end
end
