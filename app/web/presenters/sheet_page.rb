# frozen_string_literal: true

module Web
  module Presenters
    # A sheet with all that stands around it.
    class SheetPage
      # What the page knows of a kind that can be placed, so that it need not ask: its letter, and what its button carries.
      Chip = Basalt::Value.of(:noun, :letter, :data)
      # A kind whose name and facts are edited where they stand.
      InPlace = Basalt::Value.of(:kind, :description)

      # @param face [String] +drawing+, +reading+ or one that a family brings
      # @param scene [Basalt::Drawing::Scene, nil] for the face of the drawing
      def initialize(project, sheet, face, scene: nil)
        @project = project
        @set = project.set
        @sheet = sheet
        @face = face
        @scene = scene
      end

      attr_reader :face

      def drawing? = @face == "drawing"
      def reading? = @face == "reading"
      # @return [Array<Array(String, String, Boolean)>] name and words of the faces that a family brings, and whether it is shown
      def other_faces = Extensions.faces(@sheet).map { |one| [one.name, one.words, one.name == @face] }
      # @return [String] words of the face that is shown
      def face_words = other_faces.find(&:last)&.fetch(1)
      def findings = @findings ||= @project.findings_on(@sheet.id)
      def empty? = contents.empty?

      # @return [String] kinds of things whose parts are rows that are edited as text
      def rows = @sheet.notation.rows.join(" ")
      def size = contents.size
      def examples = @sheet.notation.examples
      def scripted? = @sheet.notation.scripted?
      def ruled? = @sheet.notation.ruled?

      # @return [String, nil] the kind whose table is shown first
      def kind = @kind ||= RegisterTabs.first(@project, @sheet)

      # @return [Array<Basalt::Model::Sheet>] that can stand beside it
      def others = @set.sheet_list.reject { |other| other.id == @sheet.id }

      # @return [Array<Chip>]
      def chips
        draft = Basalt::Change::Draft.new(@set)
        @sheet.notation.chips.map { |noun, letter| Chip.new(noun:, letter:, data: data(draft, noun)) }
      end

      # @return [Array<InPlace>]
      def in_place =
        (@sheet.notation.things + @sheet.notation.lines)
          .uniq
          .map { |kind| InPlace.new(kind:, description: Basalt::Model::Catalogue.kind(kind)) }
          .reject { |one| one.description.figure }

      # @return [Array<Ancestry::Step>] the sheets above, from the highest
      def way_down = @way_down ||= Ancestry.new(@set, @sheet).steps

      def frame = Coordinates.of(Basalt::Drawing::Furniture.frame(@scene))
      def extent = Coordinates.of(@scene.extent)
      def layers = Basalt::Drawing::SVG.layers(@scene.items)
      def papers = Drawings::Paper::SIZES.keys

      # @return [Array<Array(String, String, Array<Array(String, String)>)>] grounds of pictures: in words, by name, and types of files
      def pictures
        types = [%w[svg SVG], %w[png PNG], %w[jpg JPEG]]
        [["as on the sheet", "paper", types], ["on white", "white", types]]
      end

      def keys = KeyList::ALL

      # @return [Array<Array>] see Basalt::Statements::Unparser#reading
      def reading = @reading ||= Basalt::Statements::Unparser.new(@set).reading(@sheet.id)

      private

      def contents = @project.contents(@sheet.id)

      def data(draft, noun)
        kind, facts = Basalt::Model::Catalogue.words.meant(noun, @sheet.notation_name)
        size = size_of(draft, kind, facts).join(" ")
        { kind: kind.name, facts: JSON.generate(facts), size:, named: kind.default_name(noun) }.compact
      end

      # How large a new one of a kind is, px.
      def size_of(draft, kind, facts)
        fresh = Basalt::Model::Element.new(id: draft.new_id, kind: kind.name, name: "", facts:, ends: [], ordinal: 0)
        @sheet.notation.size(draft, fresh).map(&:round)
      end
    end
  end
end
