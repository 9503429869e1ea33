"""The rules of the job: pure Python of the standard library, no input or output, no clock."""
