# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # Something that a system has to answer for: what is to be done (+verb+) with what (+source_id+), in words; +answers+ are the ids of
      # the actors and use cases that answer it, +reason+ why nobody does.
      Question =
        Value.of(:verb, :source_id, :words, :group, :answers, :reason) do
          def open? = answers.empty? && reason.nil?

          # @return [String] the same for the same question
          def key = "#{verb} #{source_id}"
        end
    end
  end
end
