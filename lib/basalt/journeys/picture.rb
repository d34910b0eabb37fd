# frozen_string_literal: true

require "forwardable"

module Basalt
  module Journeys
    # A sheet with the numbers of journeys on it: what none of them touches is pale.
    class Picture
      extend Forwardable

      def_delegators :@scene, :sheet, :bounds

      # @param scene [Drawing::Scene]
      # @param marks [Marks]
      # @param now [Survey::Step, nil] the step that is spoken of: what it does not touch is pale
      def initialize(scene, marks, now: nil)
        @scene = scene
        @marks = marks
        @now = now
      end

      # @return [Array<Drawing::Item>]
      def items
        meant = @now ? Marks.ids(@now).to_set : @marks.touched
        @scene.items.map { |item| pale?(item, meant) ? item.with(faint: true) : item } + @marks.items(now: @now&.element&.id)
      end

      private

      # The frame stays, and so does what others stand in.
      def pale?(item, meant) = !item.element_id.nil? && item.layer != :boundaries && !meant.include?(item.element_id)
    end
  end
end
