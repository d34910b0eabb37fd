# frozen_string_literal: true

module Basalt
  module Model
    # A finding that a person let stand, with the reason. It holds for as long as what the
    # finding is about is in the +state+ it was in. +at+ is a time in ISO 8601.
    Waiver = Value.of(:id, :finding, :state, :reason, :said_by, :at, :ordinal)
  end
end
