# frozen_string_literal: true

module Basalt
  module Change
    # The change rests on something that has become different in the meantime.
    class Conflict < Mistake; end
  end
end
