# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # How cables are told apart: over what they go by their dash, how fast they are by their weight.
      module CablePens
        MEDIA = {
          "copper" => :line,
          "fibre" => :fibre,
          "multimode" => :multimode,
          "single-mode" => :single_mode,
          "coax" => :coax,
          "radio" => :radio,
          "power" => :power
        }.freeze

        module_function

        # @return [Symbol] of Drawing::Pens::LINES
        def of(cable)
          return :circuit if cable["circuit"]

          pen = MEDIA.fetch(cable["medium"], :open_line)
          fast?(cable) && Drawing::Pens::LINES.key?(:"fast_#{pen}") ? :"fast_#{pen}" : pen
        end

        def fast?(cable) = Cabling::Speed.bits(cable["speed"]).to_f >= Cabling::Speed::FAST
      end
    end
  end
end
