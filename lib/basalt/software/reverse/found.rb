# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # A class, a module or the like as source code has it: where it is nested (+path+), what it is (+type+), what it has, and by name
      # what it is a kind of, what it mixes in and what it speaks of.
      Found =
        Struct.new(:path, :type, :features, :supers, :mixed_in, :references) do
          def initialize(path, type) = super(path, type, [], [], [], [])
          def name = path.last
          def full_name = path.join("::")
        end
    end
  end
end
