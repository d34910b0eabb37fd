# frozen_string_literal: true

module Basalt
  module Drawing
    # A text that stands at a line: at the end with that role, or in the +middle+.
    Label = Value.of(:role, :text, :style) do
      def initialize(style: :label, **rest)
        super(style:, **rest)
      end

      def width = Pens.width(text, style) + 8
      def height = 16
    end
  end
end
