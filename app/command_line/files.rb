# frozen_string_literal: true

module CommandLine
  # Reading files of statements, and writing results.
  module Files
    module_function

    # @param limit [Integer] bytes
    # @raise [Basalt::Mistake] when the file cannot be read or understood
    def bytes(path, limit: Basalt::Statements::Document::LIMIT)
      raise Basalt::Mistake, "There is no file #{path}" unless File.exist?(path)
      raise Basalt::Mistake, "#{path} is a folder, not a file" if File.directory?(path)
      raise Basalt::Mistake, "#{path} is larger than #{limit / 1_000_000} MB" if File.size(path) > limit

      File.binread(path)
    rescue SystemCallError => e
      raise Basalt::Mistake, "#{path} cannot be read: #{e.message}"
    end

    # @return [Basalt::Model::WorkingSet] with every sheet laid out
    def model(path)
      content = bytes(path)
      return Basalt::Formats::ProjectDocument.read(content).set if document?(path, content)

      draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: counter)
      Basalt::Statements::Document.new(content).into(draft)
      Basalt::Model::WorkingSet.of(draft)
    rescue Basalt::Statements::Misread, Basalt::Formats::ProjectDocument::Damaged => e
      raise Basalt::Mistake, "#{path}: #{e.message}"
    end

    def document?(path, content = "") = File.extname(path).casecmp?(".json") || content.lstrip.start_with?("{")

    # Statements, or a project document where the name ends so.
    def write_model(path, set)
      write(path, document?(path) ? Basalt::Formats::ProjectDocument.write(set) : Basalt::Statements::Unparser.new(set).project)
    end

    # The same file gives the same ids, and so the same drawing to the letter.
    def counter
      number = 0
      -> { (number += 1).to_s }
    end

    def write(path, content)
      File.binwrite(path, content)
    rescue SystemCallError => e
      raise Basalt::Mistake, "#{path} cannot be written: #{e.message}"
    end
  end
end
