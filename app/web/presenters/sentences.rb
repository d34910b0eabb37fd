# frozen_string_literal: true

module Web
  module Presenters
    # The reading of a sheet, and the same as a text that is edited.
    class Sentences
      HEADINGS = ["What is joined", "What there is"].freeze
      # The deepest indentation that the page shows.
      DEEPEST = 4
      Line = Basalt::Value.of(:element_id, :text, :face)

      # A text that is edited: what stood +before+, the +text+ with what was refused where it was typed, whose each line is, and
      # the lines that were refused with why.
      Editor =
        Basalt::Value.of(:before, :text, :owners, :refused) do
          def owner_ids = owners.map { |owner| owner.to_s.empty? ? "-" : owner }.join(" ")
          def refused_lines = refused.map(&:first).join(" ")
        end

      # @param reading [Array<Array>] see Basalt::Statements::Unparser#reading
      def initialize(reading)
        @reading = reading
      end

      def empty? = @reading.all?(&:empty?)

      # @return [Array<Array(String, Array<Line>)>] headings with what stands beneath
      def parts
        HEADINGS.zip(@reading).reject { |_, sentences| sentences.empty? }.map do |heading, sentences|
          [heading, sentences.flat_map { |element_id, lines| lines.map { |line| line(element_id, line) } }]
        end
      end

      # @param refused [Array<Basalt::Statements::ReadingPatch::Refused>]
      # @return [Editor]
      def editor(refused = [])
        lines, owners = lines_and_owners
        text = lines.dup
        marked = refused.sort_by { |one| one.index || 0 }.map do |one|
          at = [one.index || text.length, text.length].min
          text.insert(at, one.text)
          owners.insert(at, "")
          [at, one.reason]
        end
        Editor.new(before: lines.join("\n"), text: text.join("\n"), owners:, refused: marked)
      end

      private

      def line(element_id, text)
        depth = [text[/\A */].length / 2, DEEPEST].min
        Line.new(element_id:, text:, face: "#{"block-edge " unless element_id}in-block-#{depth}")
      end

      def lines_and_owners
        @reading.flatten(1).then { |sentences| [sentences.flat_map(&:last), sentences.flat_map { |id, list| [id] * list.length }] }
      end
    end
  end
end
