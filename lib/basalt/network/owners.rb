# frozen_string_literal: true

module Basalt
  module Network
    # Who owns a device.
    module Owners
      module_function

      # @return [Array<String>] ids; none or one
      def of(set, device)
        set.relations_of(device.id, "ownership").each { |one| return [one.target("owner")] if one.target("owned") == device.id }
        []
      end

      def clear(context, device)
        context
          .draft
          .relations_of(device.id, "ownership")
          .select { |o| o.target("owned") == device.id }
          .each { |old| context.draft.apply(Change::Remove.new(id: old.id)) }
      end

      def give(context, device, owner)
        return if of(context.draft, device) == [owner.id]

        context.draft.relations_of(device.id, "ownership").each { |old| context.draft.apply(Change::Remove.new(id: old.id)) }
        context.add("ownership", ends: [["owned", device.id], ["owner", owner.id]])
        context.show(owner)
      end
    end
  end
end
