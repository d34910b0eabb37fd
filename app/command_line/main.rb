# frozen_string_literal: true

module CommandLine
  # Finds the command that was asked for and runs it.
  module Main
    COMMANDS = { "start" => "Start", "check" => "Check", "read" => "Read", "draw" => "Draw", "import" => "Import", "convert" => "Convert",
                 "routes" => "RouteList", "work" => "Work" }.freeze

    module_function

    # @return [Integer] exit status
    def run(arguments, out: $stdout, err: $stderr)
      name, *rest = arguments
      return help(out) if name.nil? || %w[--help -h help].include?(name)

      command = command(name) or return unknown(name, err)
      command.new(rest, out:, err:).run
    rescue OptionParser::ParseError => e
      err.puts "basalt #{name}: #{e.message}", "See bin/basalt #{name} --help"
      2
    rescue Basalt::Mistake => e
      err.puts e.message
      2
    end

    # Those of the families come behind the application's own.
    def names = COMMANDS.keys + Web::Extensions.commands.keys
    def command(name) = COMMANDS.key?(name) ? CommandLine.const_get(COMMANDS[name]) : Web::Extensions.commands[name]

    def help(out)
      out.puts "Usage: bin/basalt COMMAND", ""
      names.each do |name|
        command = command(name)
        out.puts "  #{command::USAGE}", "      #{command::SUMMARY}"
      end
      out.puts "", "  bin/basalt COMMAND --help tells more."
      0
    end

    def unknown(name, err)
      err.puts "There is no command “#{Basalt::Model::Names.short(name)}”.", "Commands: #{names.join(', ')}"
      2
    end
  end
end
