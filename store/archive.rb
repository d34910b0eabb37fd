# frozen_string_literal: true

require "base64"

module Store
  # A project as a document, and back as a project of its own.
  module Archive
    ENTRY = %w[number sheet_id act of_number state said said_by at deltas].freeze

    module_function

    # @return [String] JSON
    def write(project_id)
      ActiveRecord::Base.transaction(isolation: :repeatable_read) do
        extras =
          Basalt::Formats::ProjectDocument::Extras.new(journal: journal(project_id), images: images(project_id), texts: texts(project_id))
        Basalt::Formats::ProjectDocument.write(Snapshot.new(project_id).read, extras:)
      end
    end

    # @param text [String]
    # @yieldparam bytes [String] an image of the document
    # @yieldreturn [#content, #type, #width, #height] the same made safe
    # @return [Project] a new one, whose ids are its own
    # @raise [Basalt::Formats::ProjectDocument::Damaged] and nothing is taken
    def read(text, &safe)
      document = Basalt::Formats::ProjectDocument.read(text)
      fresh = IdRemapping.new(document)
      images = fresh.images.each_with_index.map { |image, index| safe_image(image, index, &safe) }
      ActiveRecord::Base.transaction { keep(fresh, images) }
    end

    # An image from a document is looked at like one that somebody brings to a sheet.
    def safe_image(image, index)
      made = yield Basalt::Formats::ImageRows.bytes(image, index)
      { id: image["id"], name: image["name"], type: made.type, width: made.width, height: made.height, content: made.content }
    rescue Basalt::Formats::ProjectDocument::Damaged
      raise
    rescue Basalt::Mistake => e
      raise Basalt::Formats::ProjectDocument::Damaged.new("/images/#{index}/data", e.message)
    end

    def journal(project_id)
      JournalEntry.where(project_id:).order(:number).map { |entry| entry_of(entry) }
    end

    def entry_of(entry)
      plain = entry.attributes.slice(*ENTRY).compact.merge("at" => entry.at.utc.iso8601(6))
      Basalt::Formats::OlderDocuments.entry(plain, entry.row_version)
    end

    def images(project_id)
      Image
        .where(project_id:)
        .order(:created_at)
        .map do |image|
          {
            id: image.id,
            name: image.name,
            type: image.type,
            width: image.width,
            height: image.height,
            data: Base64.strict_encode64(image.content)
          }
        end
    end

    def texts(project_id) =
      SourceText
        .where(project_id:)
        .order(:source_id, :version)
        .map { |text| { source_id: text.source_id, version: text.version, content: text.content } }

    def keep(fresh, images)
      project = Project.open(fresh.name)
      Writer.new(project.id).write(fresh.effect)
      images.each { |image| Image.create!(**image, project_id: project.id) }
      fresh.texts.each { |text| SourceText.create!(**text, project_id: project.id) }
      fresh
        .journal
        .each_slice(500) do |rows|
          JournalEntry.insert_all(
            rows.map do |row|
              {
                "sheet_id" => nil,
                "of_number" => nil,
                **row,
                "project_id" => project.id,
                "row_version" => Basalt::Model::RowVersions::CURRENT
              }
            end
          )
        end
      project.update!(version: fresh.journal.filter_map { |row| row["number"] }.max || 0)
      project
    end
  end
end
