# frozen_string_literal: true

module Web
  module Presenters
    # Which tables a sheet has.
    class RegisterTabs
      Tab = Basalt::Value.of(:kind, :heading, :count)

      # @param kind [String, nil] the table that is open
      def initialize(project, sheet, kind)
        @project = project
        @sheet = sheet
        @kind = kind
        @register = RegisterTable.new(project.set, sheet)
      end

      # @return [String, nil] the kind whose table is open
      attr_reader :kind

      # @return [String, nil] the kind whose table comes first
      def self.first(project, sheet) = new(project, sheet, nil).tabs.first&.kind

      # @return [Array<Tab>]
      def tabs =
        kinds.map { |kind, count| Tab.new(kind:, heading: Basalt::Model::Catalogue.kind(kind).plural.capitalize, count:) }

      private

      def notation = @sheet.notation

      # Kinds that have a table on this sheet, with how many there are; those of which there are none come last.
      def kinds
        @kinds ||= begin
          counts = @project.contents(@sheet.id).counts
          some, none = (notation.lines + notation.things).partition { |kind| counts.key?(kind) }
          none = none.reject { |kind| unasked?(kind) }.sort_by { |kind| notation.things.index(kind) || 99 }
          (some + none).map { |kind| [kind, counts.fetch(kind, 0)] }.insert(some.empty? ? -1 : some.length, *parts, *told)
        end
      end

      def parts
        return [] if notation.parts.empty?

        counts = notation.part_counts(@project.set, @sheet.id)
        notation.parts.map { |kind| [kind, counts.fetch(kind, 0)] }.reject { |kind, count| count.zero? && notation.seldom.include?(kind) }
      end

      # What is there only where somebody put it.
      def unasked?(kind) = Basalt::Model::Catalogue.kind(kind).figure || notation.seldom.include?(kind)

      # Relations that are told here and drawn as no line.
      def told = notation.told.map { |kind| [kind, @register.rows(kind).length] }.select { |_, count| count.positive? }
    end
  end
end
