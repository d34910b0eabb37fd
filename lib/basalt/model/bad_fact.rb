# frozen_string_literal: true

module Basalt
  module Model
    # A value that its field does not take.
    class BadFact < Mistake; end
  end
end
