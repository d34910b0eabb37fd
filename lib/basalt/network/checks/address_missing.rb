# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Attached to a subnet, with no address there yet.
      class AddressMissing < AddressCheck
        rule "address-missing", :warning, reads: %w[attachment subnet device]

        def findings
          plan.interfaces.reject(&:address).map do |i|
            finding(i.attachment.id, "#{i.thing.name} has no address on #{i.subnet.name}",
                    "It is attached, but nobody can reach or manage it there.", repair: give(i.attachment, i.subnet, "it"))
          end
        end
      end
    end
  end
end
