# frozen_string_literal: true

module TileLoom
  module Sandbox
    # Namespaces of its own for files, network, processes and users, by bubblewrap: an empty root into which what is
    # to be seen is mounted.
    class Bubblewrap
      def works? = Confinement.keeps_files?(self)

      def tight? = true

      def command(command, reads: [], writes: [])
        [
          "bwrap",
          "--unshare-all",
          "--die-with-parent",
          "--cap-drop",
          "ALL",
          *Confinement::SYSTEM.flat_map { |path| ["--ro-bind-try", path, path] },
          *Confinement::ROOTS.flat_map { |path| root(path) },
          "--dev",
          "/dev",
          "--tmpfs",
          "/tmp",
          *reads.uniq.flat_map { |path| ["--ro-bind", File.realpath(path), path] },
          *writes.uniq.flat_map { |path| ["--bind", File.realpath(path), path] },
          "--chdir",
          writes.first || "/",
          "--",
          *command
        ]
      end

      private

      def root(path)
        return "--symlink", File.readlink(path), path if File.symlink?(path)
        File.directory?(path) ? ["--ro-bind", path, path] : []
      end
    end
  end
end
