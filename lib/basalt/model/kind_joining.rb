# frozen_string_literal: true

module Basalt
  module Model
    # What a kind of relation joins. +ends+ are the roles with the kinds each may point at, +end_fields+ what an end says of itself.
    # An +open_end+ is the role of an end that is at the first end itself as long as nothing is there.
    KindJoining = Value.of(:open_end, ends: {}, end_fields: [])
  end
end
