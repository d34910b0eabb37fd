# frozen_string_literal: true

module Web
  module Presenters
    # The margin when nothing is selected: the title block, and what the sheet does not show although it is there.
    class SheetFacts
      TITLE_BLOCK = {
        "name" => "title",
        "number" => "number",
        "revision" => "revision",
        "status" => "status",
        "drawn_by" => "drawn by",
        "dated" => "date"
      }.freeze
      SYMBOLS = 60
      OPEN = 30
      private_constant :TITLE_BLOCK, :SYMBOLS, :OPEN

      def initialize(project, sheet)
        @project = project
        @set = project.set
        @sheet = sheet
      end

      # @return [Integer] how many things there are that the sheet could show
      def not_placed = @not_placed ||= NotPlaced.new(@set, @sheet).count

      # @return [Array<Field>]
      def fields
        typed =
          TITLE_BLOCK.map do |fact, label|
            Field.typed("title-#{fact}", label, @sheet[fact.to_sym], "title", {}, mono: fact != "name", most: 200, name: fact)
          end
        bands = Basalt::Model::Sheet::BANDS.map { |band| [band, band] }
        [*typed, Field.chosen("title-band", "level", @sheet.band, bands, "title", {}, name: "band")]
      end

      # @return [Array<Array(String, String, Boolean)>] symbol sets of the notation, in words, and whether it is drawn with them
      def variants
        return [] if @sheet.notation.variants.empty?

        [["", @sheet.notation.plain], *@sheet.notation.variants].map { |variant, words| [variant, words, @sheet.variant.to_s == variant] }
      end

      # @return [Integer] lines whose labels are hidden one by one
      def unlabelled = @unlabelled ||= HiddenHere.unlabelled_lines(@set, @sheet).length

      # @return [Array<Basalt::Model::Element>]
      def collapsed = @collapsed ||= HiddenHere.collapsed(@set, @sheet)

      def hides? = @sheet.labels_hidden? || @sheet.folded? || unlabelled.positive? || collapsed.any?

      # @return [Array<Array(Basalt::Model::Element, String)>] symbols of a person's own and where their images are
      def symbols = own.first(SYMBOLS).map { |symbol| [symbol, Pictures.linked(@project.project_id).call(symbol["image"])] }
      def symbol_count = own.length

      # @return [Array<Basalt::Model::Element>] what is assumed
      def open_questions = assumed.first(OPEN)
      def open_count = assumed.length

      # @return [Basalt::Model::Element, nil] what the sheet is about
      def subject = @subject ||= @sheet.subject_id && @set.element(@sheet.subject_id)
      def above = @above ||= (subject && SheetDepth.above(@set, @sheet, subject)) || way_up&.sheet

      # @return [String, nil] id of what on the sheet above opens into this one
      def opened_by = way_up&.then { |step| step.element.id if step.sheet.id == above&.id }

      private

      def way_up = @way_up ||= Ancestry.new(@set, @sheet).above
      def own = @own ||= @set.of_kind(Basalt::Drawing::Symbols::KIND)
      def assumed = @assumed ||= @set.things_on(@sheet.id).select(&:assumed)
    end
  end
end
