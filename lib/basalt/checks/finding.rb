# frozen_string_literal: true

require "digest"

module Basalt
  module Checks
    # What a check found: +message+ says what, +why+ says why the trade minds, +subjects+ are
    # ids of what it is about, the first being the place to look. +cut_off+ and the like go
    # into +also+ (ids), to be shown on demand.
    Finding =
      Value.of(:id, :severity, :subjects, :message, :why, :repair, also: []) do
        # @return [String] the same for the same finding about the same things
        def key = "#{id}:#{subjects.join("+")}"

        # @return [String] what the finding says and what it is about, condensed; another when either changes
        def state(set)
          about =
            subjects.map do |id|
              set
                .element(id)
                &.then { |e| [e.name, e.facts.sort, e.ends.map { |one| [one.role, set.element(one.target_id)&.name, one.facts.sort] }] }
            end
          Digest::SHA256.hexdigest([message, about].inspect)[0, 24]
        end

        def error? = severity == :error
      end
  end
end
