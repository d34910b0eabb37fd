# frozen_string_literal: true

module Web
  module Presenters
    # How far down sheets stand: by their level, then by their number.
    module SheetDepth
      module_function

      # @return [Array(Integer, String)] to be compared
      def of(sheet) = [Basalt::Model::Sheet::BANDS.index(sheet.band) || 0, sheet.number.to_s]

      # @return [Array<Basalt::Model::Sheet>] on which an element stands besides, from the coarsest to the finest
      def others(set, element, sheet) = (set.sheets_of(element.id) - [sheet.id]).map { |id| set.sheets[id] }.sort_by { |other| of(other) }

      # @return [Basalt::Model::Sheet, nil] that shows the same from further off: what contains it, or itself on a coarser level
      def above(set, sheet, subject)
        containing = subject.container_id && set.sheets_about(subject.container_id).find { |one| one.notation_name == sheet.notation_name }
        containing || set.sheets_about(subject.id).find { |one| (of(one) <=> of(sheet)).negative? && one.band != sheet.band }
      end
    end
  end
end
