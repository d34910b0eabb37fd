# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Somebody says or hears something before they are created.
      class SpeaksBeforeCreated < InteractionCheck
        rule "speaks-before-created", :error, reads: READS

        def findings = absent("before it is created", "What is not there yet neither says nor hears anything.", &:early)
      end
    end
  end
end
