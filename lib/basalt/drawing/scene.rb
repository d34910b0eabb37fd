# frozen_string_literal: true

module Basalt
  module Drawing
    # A sheet ready to be drawn: items by id, in flat layers, and the frame around them.
    class Scene
      LAYERS = %i[furniture boundaries lines things labels].freeze
      MARGIN = 40
      # The type of what helps on the page and is no part of a print.
      WAITING = "waiting"

      # @param set [Model::WorkingSet, Change::Draft]
      # @param findings [Array<Checks::Finding>] what they are about is marked
      # @param contents [SheetStatistics, nil] of the sheet, where they are known
      # @param images [#call, nil] gives an image's address by its id; without it images are left out
      # @param links [#call, nil] gives the address of a sheet that something opens into, or nil
      def initialize(set, sheet_id, findings: [], contents: nil, images: nil, links: nil)
        @set = AsDrawn.of(set, sheet_id)
        @contents = contents
        @images = images
        @links = links
        @sheet = set.sheets[sheet_id]
        @notation = @sheet.notation
        @anchors = Anchors.new(@set, sheet_id)
        @wrong = findings.select(&:error?).flat_map(&:subjects).to_set
      end

      attr_reader :set, :sheet, :notation

      # @return [Array<Item>] all of it
      def items = to_enum(:each_item).to_a

      # One after the other, each made when the one before was seen to: of a large sheet there are very many.
      #
      # @yieldparam item [Item]
      def each_item(&)
        furniture.each(&)
        set.placements_on(sheet.id).sort_by(&:ordinal).each { |placement| items_of(placement).each(&) }
      end

      # @param keys [Array<String>]
      # @return [Array<Item>] of some only, and what always may have changed with them
      def pieces(keys)
        keys |=
          keys.filter_map { |id| set.element(id) }.select(&:relation?).filter_map { |line| parallels.of(line).first&.id } if sheet.folded?
        furniture + keys.filter_map { |key| set.placement(sheet.id, key) }.flat_map { |placement| items_of(placement) }
      end

      # @return [Array<Item>]
      def items_of(placement)
        element = set.element(placement.key)
        return [] unless element && !hidden?(element)
        return line_items(element, placement) if element.relation?
        return outline_items(element, placement) if element.description.figure&.outline?
        return [] unless placement.box

        boundary = nesting.boundary?(element.id)
        beneath = OpeningSign.beneath(set, element, sheet.id)
        [
          Item.new(
            id: "t#{placement.id}",
            layer: boundary || notation.beneath?(element) ? :boundaries : :things,
            element_id: element.id,
            type: element.kind,
            title: thing_title(element, placement),
            shapes: symbol(element, placement, boundary).map { |shape| found(shape, element) } + emphasis(placement) +
                    (beneath.any? ? OpeningSign.shapes(placement.box) : []) + sign(element) { |words| SideSign.at(placement.box, words) },
            data: thing_data(element, placement),
            href: @links && beneath.lazy.filter_map { |opening| @links.call(opening.sheet) }.first
          )
        ]
      end

      # An image's id becomes its address; a glyph gives way to a symbol of a person's own.
      def found(shape, element)
        case shape[0]
        when :image
          [:image, shape[1] && @images&.call(shape[1]), *shape.drop(2)]
        when :glyph
          own_symbol(shape, element) || shape
        else
          shape
        end
      end

      def own_symbol(shape, element)
        address = Symbols.image_of(set, element)&.then { |id| @images&.call(id) }
        address && [:image, address, shape[2], shape[3], Glyphs::SIDE, Glyphs::SIDE]
      end

      def nesting = @nesting ||= Nesting.new(set, sheet.id)

      # @return [Layout::Box] the frame and a little around it
      def bounds = Furniture.frame(self).grow(10)

      # @return [Layout::Box] around all that is drawn, without the frame
      def extent = contents.extent || Layout::Box.new(x: 0, y: 0, w: 720, h: 320)
      def contents = @contents ||= SheetStatistics.new(set, sheet.id)

      # What waits to be joined is told from the rest.
      def waiting
        around = contents.waiting
        shapes =
          (
            if around
              [
                Shapes.rect(around.x, around.y, around.w, around.h, :apart),
                Shapes.text(around.x + 8, around.y - 5, "joined to nothing yet", :caption)
              ]
            else
              []
            end
          )
        Item.new(id: "waiting-corner", layer: :furniture, element_id: nil, type: WAITING, title: nil, shapes:)
      end

      # @return [Boolean] whether an error is about the element
      def wrong?(element_id) = @wrong.include?(element_id)

      # @return [Hash{String => String}] words that stand at things and lines, where the sheet shows them
      def signs = @signs ||= sheet.signs? ? Families.signs(set, set.placements_on(sheet.id).map(&:element_id).uniq) : {}

      # @return [Array<String>] names of the emphases on the sheet, in order
      def emphases = contents.emphases

      private

      # What surrounds the drawing, and what waits in it.
      def furniture = [Furniture.item(self), waiting]

      def sign(element)
        words = signs[element.id]
        words ? yield(words) : []
      end

      # What is drawn around others lies behind them, its name above what crosses it.
      def outline_items(element, placement)
        figure = element.description.figure
        shapes = figure.outline_shapes(set, sheet.id, element)
        return [] if shapes.empty?

        about = { element_id: element.id, type: element.kind }
        [
          Item.new(
            id: "t#{placement.id}",
            layer: :boundaries,
            title: thing_title(element, placement),
            shapes:,
            data: {
              name: element.name
            },
            **about
          ),
          Item.new(id: "n#{placement.id}", layer: :labels, title: nil, shapes: figure.name_shapes(set, sheet.id, element), **about)
        ]
      end

      # What stands in a collapsed boundary is not drawn, nor a line between two such.
      def hidden?(element)
        return nesting.hidden?(element.id) unless element.relation?

        @anchors.within_one?(element)
      end

      def symbol(element, placement, boundary)
        return notation.boundary_shapes(set, element, placement) if boundary
        return notation.closed_shapes(set, element, placement, nesting.inside(element.id).length) if nesting.closed?(element.id)

        notation.thing_shapes(set, element, placement)
      end

      def thing_data(element, placement)
        {
          box: Shapes.numbers(placement.x, placement.y, placement.w, placement.h),
          name: element.name,
          pinned: placement.pinned || nil,
          sizable: (notation.sizable?(element) && !nesting.boundary?(element.id)) || nil,
          in: nesting.parent(element.id),
          across: (set.geometry.row_kind if notation.ruled?),
          **(notation.ruled? ? set.geometry.stacking(element) : {}),
          of: (placement.element_id if placement.again?)
        }.compact
      end

      def thing_title(element, placement) = "#{element.noun} #{element.name}#{", once more" if placement.again?}"

      def emphasis(placement)
        name = placement.shape&.fetch("emphasis", nil)
        name ? Hatch.shapes(placement.box, emphases.index(name) || 0) : []
      end

      def line_items(line, placement)
        unless placement.route && notation.draws_line?(set, line) && set.drawn_between?(sheet.id, line) && !parallels.folded?(line)
          return []
        end

        [
          Item.new(
            id: "l#{placement.id}",
            layer: :lines,
            element_id: line.id,
            type: line.kind,
            title: line_title(line),
            shapes: [
              Shapes.polyline(notation.passing(placement.route["points"]), :passing),
              *notation.line_shapes(set, line, placement.route["points"], placement.route["labels"] || {})
            ],
            data: {
              ends: line.endpoints.join(" "),
              route: Shapes.numbers(*placement.route["points"].flatten)
            }
          ),
          Item.new(
            id: "n#{placement.id}",
            layer: :labels,
            element_id: line.id,
            type: line.kind,
            title: nil,
            shapes: said(line, placement) + count(line, placement) +
                    sign(line) { |words| SideSign.on(placement.route["points"], words) }
          )
        ]
      end

      def parallels = @parallels ||= Parallels.new(set, sheet)

      # What a line says, unless somebody hid it.
      def said(line, placement)
        if sheet.labels_hidden? || placement.shape&.fetch("labels_hidden", nil) || (sheet.folded? && parallels.of(line).length > 1)
          return []
        end

        notation.labels(set, line).flat_map { |label| label_shapes(label, placement.route["labels"], line) }
      end

      # How many lines a folded one stands for.
      def count(line, placement)
        number = sheet.folded? ? parallels.of(line).length : 1
        return [] if number < 2

        words = "#{number} lines"
        x, y = Layout::Polyline.middle(placement.route["points"])
        width = Pens.width(words, :label) + 10
        [Shapes.rect(x - (width / 2.0), y - 8, width, 16, :halo), Shapes.text(x, y + 4, words, :label, :middle)]
      end

      def line_title(line)
        "#{line.kind}: #{line.endpoints.map { |id| set.element(id).name }.join(" – ")}"
      end

      def label_shapes(label, places, line)
        x, y = places&.fetch(label.role, nil)
        return [] unless x

        label.shapes(x, y, wrong: wrong?(line.id))
      end
    end
  end
end
