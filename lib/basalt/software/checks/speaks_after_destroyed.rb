# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Somebody says or hears something after they were destroyed.
      class SpeaksAfterDestroyed < InteractionCheck
        rule "speaks-after-destroyed", :error, reads: READS

        def findings = absent("after it was destroyed", "What is gone neither says nor hears anything.", &:late)
      end
    end
  end
end
