# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What may pass into a subnet and out of it: the first rule that applies decides, and where none does nothing passes. Answers are
      # looked at like all else.
      AccessList = Value.of(:id, :rules)
    end
  end
end
