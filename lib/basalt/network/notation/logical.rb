# frozen_string_literal: true
module Basalt
  module Network
    module Notation
      class Logical
        def name = "logical network"
        def band = "Logical"
        def draws?(element) = true
      end
    end
  end
end
