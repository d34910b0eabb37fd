# frozen_string_literal: true

module Basalt
  module Model
    # A kind in the register and where it is edited in place. +brief+ are the facts that matter most, +columns+ keys of its table
    # in their order with their titles, where these are not the usual ones; +making+ gives by role the kind that a name nobody
    # knows becomes.
    KindTable = Value.of(:columns, :making, brief: [])
  end
end
