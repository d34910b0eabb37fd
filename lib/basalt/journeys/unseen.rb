# frozen_string_literal: true

module Basalt
  module Journeys
    # A journey stands on a sheet without being drawn there: its numbers are shown when it is walked.
    class Unseen < Drawing::Figure
      def outline? = true
      def size(_thing) = [0, 0]
    end
  end
end
