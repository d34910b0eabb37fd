# frozen_string_literal: true

module Basalt
  module Journeys
    # A sheet with the numbers of journeys on it: what none of them touches is pale.
    class Picture
      extend Delegation

      delegate :sheet, :bounds, to: :@scene

      # @param scene [Drawing::Scene]
      # @param marks [Marks]
      # @param now [Survey::Step, nil] the step that is spoken of: what it does not touch is pale
      def initialize(scene, marks, now: nil)
        @scene = scene
        @marks = marks
        @now = now
      end

      # @return [Array<Drawing::Item>]
      def items = to_enum(:each_item).to_a

      # @yieldparam item [Drawing::Item]
      def each_item(&)
        meant = @now ? Marks.ids(@now).to_set : @marks.touched
        @scene.each_item { |item| yield pale?(item, meant) ? item.with(faint: true) : item }
        @marks.items(now: @now&.element&.id).each(&)
      end

      private

      # The frame stays, and so does what others stand in.
      def pale?(item, meant) = !item.element_id.nil? && item.layer != :boundaries && !meant.include?(item.element_id)
    end
  end
end
