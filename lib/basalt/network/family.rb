# frozen_string_literal: true

module Basalt
  # Networks: devices, subnets, addresses and links.
  module Network
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL

      def notations = [Notation::Logical.new, Notation::Physical.new, Notation::Unit.new, Notation::Rack.new,
                       Notation::SiteMap.new,
                       Notation::FloorPlan.new]

      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS

      def checks = logical + cabling + racks

      def racks = [Checks::UnitOverlap, Checks::DoesNotFit, Checks::OverPower, Checks::OverWeight, Checks::GapTooSmall]

      def openers = Openers::ALL

      # What follows from an act as a whole.
      def settle(draft) = Cabling::Cards.settle(draft)

      def logical
        [
          Checks::AddressUsedTwice,
          Checks::AddressOutsideSubnet,
          Checks::ReservedAddress,
          Checks::SubnetsOverlap,
          Checks::NameUsedTwice,
          Checks::NoGateway,
          Checks::AddressMissing,
          Checks::NothingAttached,
          Checks::SingleWayOut,
          Checks::CutOff,
          Checks::GatewayDoesNotForward,
          Checks::PartOutsideItsWhole,
          Checks::VlanUsedTwice,
          Checks::ReservedBlock
        ]
      end

      def cabling
        [
          Checks::PortUsedTwice,
          Checks::PortDoesNotExist,
          Checks::MediumDoesNotFit,
          Checks::SpeedDoesNotFit,
          Checks::CableToItself,
          Checks::PortUndecided,
          Checks::TooLong,
          Checks::ParallelWithoutBundle,
          Checks::NotDualHomed,
          Checks::SingleFeed,
          Checks::HostNameBreaksRule,
          Checks::OwnerUnclear,
          Checks::LogicalDisagrees
        ]
      end
    end
  end
end
