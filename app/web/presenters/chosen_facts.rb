# frozen_string_literal: true

module Web
  module Presenters
    # The margin when several things are selected.
    class ChosenFacts
      # @param ids [Array<String>] of elements
      def initialize(project, sheet, ids)
        @project = project
        @sheet = sheet
        @elements = ids.map { |id| project.set.element(id) }
      end

      def count = @elements.length
      def ids = @elements.map(&:id)

      # @return [Array<String>] how many of what
      def kinds = @elements.group_by(&:noun).map { |noun, list| "#{list.length} #{noun}" }

      # @return [Array<Basalt::Model::Element>]
      def things = @elements.reject(&:relation?)
      def several_things? = things.length > 1

      # @return [String, nil] the first that one of them has
      def emphasis = @elements.filter_map { |one| @project.set.placement(@sheet.id, one.id)&.shape&.fetch("emphasis", nil) }.first
      def emphases = @project.contents(@sheet.id).emphases
      def drawn? = @project.set.placements_on(@sheet.id).any?
      def query = URI.encode_www_form(chosen: ids.join(" "))
    end
  end
end
