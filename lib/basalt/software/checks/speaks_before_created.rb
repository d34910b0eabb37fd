# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Somebody says or hears something before they are created.
      class SpeaksBeforeCreated < InteractionCheck
        rule "speaks-before-created", :error, reads: READS

        def findings
          courses.all.flat_map { |one| Interactions::Lives.new(one.course).early }.map do |message_id, id|
            finding([message_id, id], "#{name(id)} takes part in #{words(set.element(message_id))} before it is created",
                    "What is not there yet neither says nor hears anything.")
          end
        end
      end
    end
  end
end
