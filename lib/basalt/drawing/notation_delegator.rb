# frozen_string_literal: true

module Basalt
  module Drawing
    # A notation that answers everything as another does, for those that differ in a little.
    class NotationDelegator
      extend Delegation

      [Notation, *Notation::PARTS].each { |part| delegate(*part.public_instance_methods(false), to: :@notation, from: part) }

      def initialize(notation)
        @notation = notation
      end
    end
  end
end
