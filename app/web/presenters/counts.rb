# frozen_string_literal: true

module Web
  module Presenters
    # How many findings there are, by how grave they are.
    Counts =
      Basalt::Value.of(:errors, :warnings) do
        # @param findings [Array<Basalt::Checks::Finding>]
        def self.of(findings) = new(errors: findings.count(&:error?), warnings: findings.count { |one| one.severity == :warning })

        def clear? = errors.zero? && warnings.zero?
      end
  end
end
