# frozen_string_literal: true

module Basalt
  module Checks
    # What a check found: +message+ says what, +why+ says why the trade minds, +subjects+ are
    # ids of what it is about, the first being the place to look. +cut_off+ and the like go
    # into +also+ (ids), to be shown on demand.
    Finding = Value.of(:id, :severity, :subjects, :message, :why, :repair, :also) do
      def initialize(also: [], repair: nil, **rest)
        super(also:, repair:, **rest)
      end

      # @return [String] the same for the same finding about the same things
      def key = "#{id}:#{subjects.join('+')}"
      def error? = severity == :error
    end
  end
end
