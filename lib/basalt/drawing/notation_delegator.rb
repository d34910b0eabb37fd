# frozen_string_literal: true

require "forwardable"

module Basalt
  module Drawing
    # A notation that answers everything as another does, for those that differ in a little.
    class NotationDelegator
      extend Forwardable

      def_delegators :@notation, *[Notation, *Notation::PARTS].flat_map { |part| part.public_instance_methods(false) }

      def initialize(notation)
        @notation = notation
      end
    end
  end
end
