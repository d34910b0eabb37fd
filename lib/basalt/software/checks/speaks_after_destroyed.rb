# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Somebody says or hears something after they were destroyed.
      class SpeaksAfterDestroyed < InteractionCheck
        rule "speaks-after-destroyed", :error, reads: READS

        def findings
          courses.all.flat_map { |one| Interactions::Lives.new(one.course).late }.map do |message_id, id|
            finding([message_id, id], "#{name(id)} takes part in #{words(set.element(message_id))} after it was destroyed",
                    "What is gone neither says nor hears anything.")
          end
        end
      end
    end
  end
end
