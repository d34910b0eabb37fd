# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What may pass to and from what is in the group, in any order; an answer always may.
      RuleGroup = Value.of(:id, :rules)
    end
  end
end
