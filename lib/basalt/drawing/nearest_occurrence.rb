# frozen_string_literal: true

module Basalt
  module Drawing
    # A line that is new goes to the nearest occurrence of what it joins, unless somebody said which.
    class NearestOccurrence
      # @param context [LayoutContext]
      def initialize(context)
        @context = context
        @draft = context.draft
      end

      def attach
        @draft.elements.differences.each do |_, before, after|
          place(after) if before.nil? && after&.relation? && @context.notation.lines.include?(after.kind) && !@context.placement(after.id)
        end
      end

      private

      def place(line)
        line.ends.values_at(0, -1).each_with_index do |one, index|
          further = @draft.further(@context.sheet_id, one.target_id)
          next if further.empty?

          other = @context.placement(line.endpoints[1 - index])&.box or next
          nearest = [@context.placement(one.target_id), *further].select(&:box).min_by { |placed| apart(placed.box, other) } or next
          Change::Attach.new(sheet_id: @context.sheet_id, line_id: line.id, role: one.role, key: nearest.key).apply(@draft)
        end
      end

      def apart(one, other) = (one.cx - other.cx).abs + (one.cy - other.cy).abs
    end
  end
end
