# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # A store is open to the public.
      class PublicStore < CloudCheck
        rule "public-store", :error, reads: [Kinds::RESOURCE, Kinds::CONNECTION]

        def findings
          resources.select { |one| one["public"] && Services::STORES.include?(one["service"]) && meant(one).empty? }.map do |store|
            finding(store.id, "#{store.name} is open to the public", "What is kept there is read by anybody who finds its name; nothing " \
                                                                     "that is drawn needs that.",
                    repair: repair("Close it", Change::Set.new(id: store.id, fact: "public", value: nil)))
          end
        end
      end
    end
  end
end
