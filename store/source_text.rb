# frozen_string_literal: true

module Store
  # The words of one version of a source. They never change.
  class SourceText < ActiveRecord::Base
    self.table_name = "source_texts"
    self.primary_key = %i[source_id version]

    # Bytes of one text.
    LIMIT = 10_000_000

    # @return [String, nil] the words of a source as the model has it; nil where nobody brought them yet
    def self.of(project_id, source) = find_by(project_id:, source_id: source.id, version: source["version"] || 1)&.content

    # @return [SourceText] in the place of one of the same version that no act kept
    def self.keep(project_id, source_id, version, content, said_by)
      where(project_id:, source_id:, version:).delete_all
      create!(project_id:, source_id:, version:, content:, said_by:)
    end
  end
end
