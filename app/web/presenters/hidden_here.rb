# frozen_string_literal: true

module Web
  module Presenters
    # What a sheet does not show although it is there.
    module HiddenHere
      module_function

      # @return [Array<String>] ids of lines whose labels are hidden one by one
      def unlabelled_lines(set, sheet)
        set.placements_on(sheet.id).select { |placement| placement.shape&.fetch("labels_hidden", nil) }.map(&:element_id)
      end

      # @return [Array<Basalt::Model::Element>]
      def collapsed(set, sheet)
        nesting = Basalt::Drawing::Nesting.new(set, sheet.id)
        nesting.any? ? set.things_on(sheet.id).select { |thing| nesting.closed?(thing.id) } : []
      end
    end
  end
end
