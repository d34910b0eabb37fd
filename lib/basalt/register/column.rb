# frozen_string_literal: true

module Basalt
  module Register
    # A column of a table: +key+ names it in what is sent, +type+ is that of a field, or
    # +:reference+ to an element of some +kinds+, or +:computed+, which nobody writes. What a reference
    # names and nobody knows becomes one of the kind that it +makes+.
    Column = Value.of(:key, :title, :type, :choices, :kinds, :role, :fact, :required, :makes) do
      def writable? = type != :computed
      def reference? = type == :reference

      # @return [Boolean] whether it is set in the type of identifiers
      def identifier? = %i[address prefix integer computed].include?(type)
    end
  end
end
