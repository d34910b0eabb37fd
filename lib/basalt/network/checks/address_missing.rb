# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Attached to a subnet, with no address there yet.
      class AddressMissing < Basalt::Checks::Check
        rule "address-missing", :warning, reads: %w[attachment subnet device]

        def findings
          plan.interfaces.reject(&:address).map do |i|
            finding(i.attachment.id, "#{i.thing.name} has no address on #{i.subnet.name}",
                    "It is attached, but nobody can reach or manage it there.", repair: give(i))
          end
        end

        private

        def plan = survey[Addressing]

        def give(interface)
          free = plan.next_free(interface.subnet) or return
          repair("Give it #{Addresses::Shorthand.write(interface.prefix, free)}",
                 Change::Set.new(id: interface.attachment.id, fact: "address", value: free.to_s))
        end
      end
    end
  end
end
