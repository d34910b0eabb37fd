# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # An attribute of a class (UML 2.5.1, 9.5.4). +visibility+ is one of Notation::VISIBILITIES or nil, +modifiers+ the words in
      # braces, in the order in which they stand.
      Attribute =
        Value.of(:visibility, :derived, :name, :type, :multiplicity, :default, :modifiers) do
          def initialize(modifiers: [], derived: false, **rest) = super(modifiers: modifiers.freeze, derived:, **rest)
          def operation? = false
          def static? = modifiers.include?("static")

          include Written

          # @return [String] in UML's textual notation
          def to_s = written("#{visibility}#{"/" if derived}#{Notation.spelled(name)}", type, default)
        end
    end
  end
end
