# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # An operation of a class (UML 2.5.1, 9.6.4). +type+ and +multiplicity+ are those of what it returns.
      Operation =
        Value.of(:visibility, :name, :parameters, :type, :multiplicity, :modifiers) do
          def initialize(parameters: [], modifiers: [], **rest) = super(parameters: parameters.freeze, modifiers: modifiers.freeze, **rest)
          def operation? = true
          def static? = modifiers.include?("static")
          def abstract? = modifiers.include?("abstract")

          # @return [Array] by which two operations of a class are the same: its name and the types of what it takes
          def signature = [name, parameters.reject { |one| one.direction == "out" }.map { |one| one.type&.delete(" ") }]

          include Written

          def to_s = written("#{visibility}#{Notation.spelled(name)}(#{parameters.join(", ")})", type)
        end
    end
  end
end
