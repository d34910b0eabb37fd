# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Attached to a subnet, with no address there yet.
      class AddressMissing < AddressCheck
        rule "address-missing", :warning, reads: %w[attachment subnet device], each: "attachment", near: 2

        def about(attachment)
          i = plan.interface(attachment)
          return [] if i.nil? || i.address

          [finding(attachment.id, "#{i.thing.name} has no address on #{i.subnet.name}",
                   "It is attached, but nobody can reach or manage it there.", repair: give(attachment, i.subnet, "it"))]
        end
      end
    end
  end
end
