# frozen_string_literal: true

module Basalt
  # Networks: devices, subnets, addresses and links.
  module Network
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Logical.new]
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS

      def checks
        [Checks::AddressUsedTwice, Checks::AddressOutsideSubnet, Checks::ReservedAddress, Checks::SubnetsOverlap, Checks::NameUsedTwice,
         Checks::NoGateway, Checks::AddressMissing, Checks::NothingAttached, Checks::SingleWayOut]
      end
    end
  end
end
