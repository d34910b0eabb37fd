# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Over what a cable goes. Fibre may be undecided or of a mode; a port that takes a module takes what the module takes.
      module Medium
        ALL = %w[copper fibre multimode single-mode coax radio power].freeze
        FIBRES = %w[multimode single-mode].freeze

        module_function

        # @param one [String, nil] nil where it is not decided
        # @return [Boolean] whether a cable or port of the one can go with the other
        def fits?(one, other)
          one.nil? || other.nil? || one == other || (one == "fibre" && FIBRES.include?(other)) ||
            (other == "fibre" && FIBRES.include?(one))
        end

        # @return [String, nil] the more exact one of two that fit
        def finer(one, other) = one.nil? || (one == "fibre" && other) ? other : one
      end
    end
  end
end
