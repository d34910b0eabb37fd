# frozen_string_literal: true

module Basalt
  module Addresses
    # One address: +version+ 4 or 6, and its bits as a +number+.
    Address = Value.of(:version, :number) do
      def to_s = Addresses.write(version, number)
    end
  end
end
