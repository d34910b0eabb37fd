# frozen_string_literal: true

module Basalt
  module Checks
    # Changes that clear a finding, and what to call them.
    Repair = Value.of(:label, :changes)
  end
end
