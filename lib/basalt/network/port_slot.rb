# frozen_string_literal: true

module Basalt
  module Network
    # The port of a thing: one word, which may be a number with a member in front (+1/24+).
    class PortSlot < Statements::WordSlot
      def initialize
        super(/\A\S+\z/, "a port")
      end
    end
  end
end
