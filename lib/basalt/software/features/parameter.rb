# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # A parameter of an operation (UML 2.5.1, 9.4.4). +direction+ is +in+, +out+, +inout+ or nil, where it is not said.
      Parameter =
        Value.of(:direction, :name, :type, :multiplicity, :default, :modifiers) do
          def initialize(modifiers: [], **rest) = super(modifiers: modifiers.freeze, **rest)

          include Written

          def to_s = written([direction, shown].compact.join(" "), type, default)

          private

          # A mark in front tells that it takes several, or a block.
          def shown = name.match(/\A(\*{1,2}|&)?(.*)\z/m).then { |marked| "#{marked[1]}#{Notation.spelled(marked[2])}" }
        end
    end
  end
end
