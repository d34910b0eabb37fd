# frozen_string_literal: true

module Basalt
  module Network
    # Which addresses of a subnet somebody has, whichever subnet of the same space they are attached to. It costs what is
    # attached to the one subnet.
    class InUse
      HOLDERS = ["attachment", "shared gateway"].freeze

      # @param prefix [Addresses::Prefix] of the subnet
      def initialize(set, subnet, prefix)
        @set = set
        @space = subnet["space"].to_s
        @version = prefix.version
        @own =
          set.relations_of(subnet.id, *HOLDERS).filter_map { |one| one["address"]&.then { |text| Addresses.address(text).number } }.to_set
      end

      # @param number [Integer]
      def include?(number) = @own.include?(number) || elsewhere?(number)

      private

      def elsewhere?(number)
        @set
          .elements
          .by(:fact, ["address", Addresses.write(@version, number)])
          .any? { |one| HOLDERS.include?(one.kind) && @set.element(one.target("subnet"))&.[]("space").to_s == @space }
      end
    end
  end
end
