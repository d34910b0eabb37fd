# frozen_string_literal: true

module Web
  module Presenters
    # What a search of the project found.
    class SearchResults
      # A sheet, or an element with the sheets it is on.
      Hit = Basalt::Value.of(:id, :name, :noun, :number, :sheets)
      MOST = 40

      # @param asked [String]
      def initialize(set, asked)
        @set = set
        @asked = asked
        @wanted = asked.strip.downcase
      end

      attr_reader :asked

      def asked? = !@wanted.empty?
      def hits = @hits ||= asked? ? sheets + elements : []

      private

      def sheets
        found = @set.sheet_list.select { |sheet| [sheet.name, sheet.number].compact.any? { |words| words.downcase.include?(@wanted) } }
        found.map { |sheet| Hit.new(id: sheet.id, name: sheet.name, number: sheet.number) }
      end

      def elements
        found = @set.elements.each.lazy.select { |element| named?(element) }.first(MOST)
        found.map do |element|
          name = element.relation? ? Acting.title(@set, element) : element.name
          Hit.new(id: element.id, name:, noun: element.noun, sheets: places(element))
        end
      end

      def named?(element)
        element.name&.downcase&.include?(@wanted) ||
          element.facts.any? { |_, value| value.is_a?(String) && value.downcase.include?(@wanted) }
      end

      def places(element)
        @set.sheet_list.select { |sheet| element.relation? ? @set.drawn_between?(sheet.id, element) : @set.shown?(sheet.id, element.id) }
      end
    end
  end
end
