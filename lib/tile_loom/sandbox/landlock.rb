# frozen_string_literal: true

# Loaded by itself in the process that is to be shut in, too: nothing here asks for another file of ours.
module TileLoom
  module Sandbox
    # Rules of the kernel on files (Landlock, Linux 5.13; docs.kernel.org/userspace-api/landlock.html), set by a small
    # process that then becomes the program. Without a network where the system lets a process give it up.
    class Landlock
      # System calls, the same on all machines.
      CREATE, ADD, RESTRICT = 444, 445, 446
      VERSION, PATH_BENEATH, NO_NEW_PRIVILEGES, PATH_ONLY = 1, 1, 38, 0o10000000
      EXECUTE, WRITE_FILE, READ_FILE, READ_DIR, TRUNCATE, IOCTL = 1, 2, 4, 8, 1 << 14, 1 << 15
      # Rights that files have; folders have all of them.
      OF_FILES = EXECUTE | WRITE_FILE | READ_FILE | TRUNCATE | IOCTL
      # All rights on files by the version of the interface, from the first.
      ALL = [(1 << 13) - 1, (1 << 14) - 1, (1 << 15) - 1, (1 << 15) - 1, (1 << 16) - 1].freeze
      # Of TCP from version 4 on: bind and connect. From version 6: abstract sockets and signals of others.
      NETWORK, SCOPES = 3, 3
      DEVICES = %w[/dev/null /dev/zero /dev/urandom].freeze

      def works? = Confinement.keeps_files?(self)

      def tight? = true

      def command(command, reads: [], writes: [])
        [
          *LimitedProcess.offline,
          "ruby",
          "-W0",
          "--disable=gems",
          "-r",
          File.expand_path(__FILE__),
          "-e",
          "#{self.class.name}.enter(ARGV)",
          "--",
          *(Confinement::SYSTEM + Confinement::ROOTS + reads).uniq.flat_map { |path| ["read", path] },
          *writes.uniq.flat_map { |path| ["write", path] },
          "run",
          *command
        ]
      end

      # In the process that becomes the program: "read" PATH …, "write" FOLDER …, "run" COMMAND ….
      def self.enter(arguments)
        require "fiddle"
        at = arguments.index("run")
        pairs = arguments.first(at).each_slice(2).to_a
        rules = pairs.map { |kind, path| [path, (kind == "read") ? EXECUTE | READ_FILE | READ_DIR : ~0] }
        shut(rules + DEVICES.map { |path| [path, READ_FILE | WRITE_FILE] })
        exec(*arguments.drop(at + 1), close_others: true)
      rescue SystemCallError, Fiddle::DLError => error
        warn error.message
        exit! 126
      end

      def self.shut(rules)
        version = call(CREATE, 0, 0, VERSION)
        rights = ALL[[version, ALL.length].min - 1]
        attributes = [rights, (version >= 4) ? NETWORK : 0, (version >= 6) ? SCOPES : 0]
        bytes =
          attributes.first(
            if version >= 6
              3
            else
              ((version >= 4) ? 2 : 1)
            end
          ).pack("Q*")
        ruleset = call(CREATE, bytes, bytes.bytesize, 0)
        rules.each { |path, wanted| allow(ruleset, path, rights & wanted) }
        prctl = Fiddle::Function.new(Fiddle::Handle::DEFAULT["prctl"], [Fiddle::TYPE_LONG] * 5, Fiddle::TYPE_INT)
        raise SystemCallError.new("prctl", Fiddle.last_error) unless prctl.call(NO_NEW_PRIVILEGES, 1, 0, 0, 0).zero?
        call(RESTRICT, ruleset, 0, 0)
      end
      private_class_method :shut

      # What is not there needs no rule.
      def self.allow(ruleset, path, rights)
        number = IO.sysopen(path, PATH_ONLY)
        rights &= OF_FILES unless File.directory?(path)
        call(ADD, ruleset, PATH_BENEATH, [rights, number].pack("Ql"), 0)
      rescue Errno::ENOENT
        nil
      end
      private_class_method :allow

      # number: of a system call; arguments: Integers and a String where the call wants a pointer.
      def self.call(number, *arguments)
        types = arguments.map { |one| one.is_a?(String) ? Fiddle::TYPE_VOIDP : Fiddle::TYPE_LONG }
        function =
          Fiddle::Function.new(Fiddle::Handle::DEFAULT["syscall"], [Fiddle::TYPE_LONG, *types], Fiddle::TYPE_LONG)
        function
          .call(number, *arguments)
          .tap { |answer| raise SystemCallError.new("landlock", Fiddle.last_error) if answer.negative? }
      end
      private_class_method :call
    end
  end
end
