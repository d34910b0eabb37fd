# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # A parameter of an operation (UML 2.5.1, 9.4.4). +direction+ is +in+, +out+, +inout+ or nil, where it is not said.
      Parameter =
        Value.of(:direction, :name, :type, :multiplicity, :default, :modifiers) do
          def initialize(modifiers: [], **rest) = super(modifiers: modifiers.freeze, **rest)

          include Written

          def to_s = written([direction, name].compact.join(" "), type, default)
        end
    end
  end
end
